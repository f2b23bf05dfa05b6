export { awayBefore, awayOnBar, awaySteps, boltedBy, fittedOne, pushOf, slitBeforeFinishing } from './beside';
export { coolDown } from './cool';
export { chamferInner, chamferMouth, detailsOf, detailStep, knurlUnder, shapeEdges, shapeRow, undercut } from './edges';
export { faceEnd } from './facing';
export { byHand, type Facts, reason, type ToGet, wayChosen } from './facts';
export { finishTurn } from './finishTurn';
export {
  centreDrill,
  coneMouth,
  type Drawer,
  drawnCentre,
  edgeSize,
  enters,
  holeAt,
  ladderOf,
  makeHole,
  type Prices,
  type Rung,
  takesCone,
} from './holes';
export { cutNeck } from './neck';
export { type At, type Declared, type Operation, type Outcome, riskOf, type StepCut } from './outcome';
export { releaseCheck } from './release';
export { roughTurn } from './roughTurn';
export { backGroove, sawRate, sever, type Severing, severingOf } from './sever';
export { bentLineOf } from './spring';
export type { Step } from './step';
export { centreUp, pullOut, steadyUp, withdraw } from './support';
export { takeHold } from './takeHold';
export { cutThread, dieFor } from './threads';
export { besideLathe, threads, type Verb, verbs } from './verbs.table';
