export { type Exercise, exercises, setUp } from './exercises';
export { type Deed, type Outcome, played, type Seen, Stand, type StandGauge, type StandSet } from './stand';
export { Dialling, fourJawWanted, type JawTurn } from './fourJaw';
export { type Choice, type Choosing, choosings, tried } from './choosings';
export { type PracticeFile, readPractice, writePractice } from './practiceFile';
export { isRehearsal, rehearsalId, rehearsedReading } from './rehearse';
export { TwoCollars, twoCollars } from './twoCollars';
