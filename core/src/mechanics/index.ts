export { type Beam, bend, complianceAt, weakestOf } from './beam';
export { ACROSS, type CutForces, cuttingForce, drillForces, partingForce } from './cuttingForce';
export { fromReadings, fromSwing } from './dialling';
export { cooledTo, coolingConstant, coolingTime, SHEDS } from './heat';
export { bentLine, deflectionAt, secondMoment, weakestPlace } from './plainBar';
export { lobes, squeezed } from './ring';
