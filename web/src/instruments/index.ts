export { memoryGauge } from './inMemory';
export { leave, listenTo, useInstruments, useReadings } from './instruments';
export { Speaks, SpeakingGauges } from './SpeakingGauges';
