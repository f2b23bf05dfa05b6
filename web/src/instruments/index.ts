export { useReadings } from './instruments';
export { Speaks, SpeakingGauges } from './SpeakingGauges';
