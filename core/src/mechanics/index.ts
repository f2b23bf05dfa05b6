export { type Beam, bend, type Bent, complianceAt, type Load, type Rest, type Stretch, weakestOf } from './beam';
export { ACROSS, type Cut, type CutForces, cuttingForce, type DrillForces, drillForces, partingForce } from './cuttingForce';
export { type Dialled, fromReadings, fromSwing } from './dialling';
export { cooledTo, coolingConstant, coolingTime, SHEDS, type Sheds } from './heat';
export { bentLine, deflectionAt, type PlainBar, secondMoment, weakestPlace } from './plainBar';
export { lobes, squeezed, type SqueezedRing } from './ring';
