export { type Exercise, exercises, setUp } from './exercises';
export type { Deed, Nuts, Outcome, Seen, Spoiled, StandGauge, StandSet, StandWay } from './deeds';
export { type Fault, faults, linesOf } from './standIn';
export { played, Stand } from './stand';
export { Dialling, fourJawWanted, type JawTurn } from './fourJaw';
export { type Choice, type Choosing, choosings, tried } from './choosings';
export { DeedRead, type PracticeFile, readPractice, writePractice } from './practiceFile';
export { isRehearsal, rehearsalId, rehearsedReading } from './rehearse';
export { TwoCollars, twoCollars } from './twoCollars';
