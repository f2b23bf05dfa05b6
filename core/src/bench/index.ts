export { type AtSize, atSize, digitsAhead, endToRead, readingAt } from './atSize';
export { type Away, awayFor } from './away';
export { benchState, type BenchState, type InHand } from './benchState';
export { boardOf, FIRST_CHECKED, isOwn, minutesTaken, type OnBoard, plannedOrder, RELEASED, toRelease } from './board';
export { endRead, type Ends } from './bothEnds';
export { type FitAnswer, feltAt, fitByFeel, fitFeels, furtherByFeel } from './byFeel';
export { type Cannot, cannotHere, inTheWay, type InTheWay } from './cannot';
export { clocksOf, type Running, WAITS } from './clocks';
export { type Grown, grownAt } from './grown';
export { canHold, type CanHold, cutsIn, type CutTaken, type Held, heldBy, type ToolRecord, toolsBy } from './history';
export { type Joined, joinedAt } from './joined';
export { cuttingBegan, type Change, changesOf, nameOf } from './changes';
export { collarsOf, setOverBy } from './collars';
export { dialIn, type DialIn, dialledSo, dialledTo, type DialledTo, readIndicator } from './dialIn';
export { calibration, type Calibrated, type Pace, paceOf, promisesOf, type Took, tookIn } from './calibration';
export { causesOf, type Symptom, symptoms, symptomsOf } from './diagnosis';
export { WORN } from './edgeWear';
export {
  chatterIn,
  chatterLessons,
  type Chattered,
  chipLessons,
  lessonsAbout,
  lessonSaid,
  lessonsOf,
  minuteLessons,
  sameLesson,
  type Shown,
  shownIn,
  type Strings,
  stringsIn,
} from './lessons';
export { madeBy } from './made';
export { stillToBeDone } from './pastLimit';
export { type DialledPass, passesOf, passesTaken, passTaken } from './passes';
export { type TypedBack, typedBack } from './typedBack';
export { type Bare, type Card, doneAs, inByDial, press, readAt, wantsReading, type Typed, type Written } from './press';
export { openStops, type Progress, progressOf, stagesOf } from './progress';
export { type JobRecord, recordOf } from './record';
export { releaseOf } from './release';
export { settled } from './settled';
export { type ByDial, shoulderByDial } from './shoulder';
export { type Zeros, type ZeroWay, zerosOf } from './zeros';
export { adviceAt, bothEndsAt, gaugesFor, handGauge, type Sized, sizedAt, sizedNow } from './sized';
