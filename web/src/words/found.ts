/* What was found, and how it stands. */

export const cannotTell = '? cannot tell';
export const inByGauge = '✓ in by its gauge';
export const metalLeft = 'metal left';
export const notMeasured = 'not measured';
export const notStored = 'not stored';
export const underSize = 'under size';
export const overSize = 'over size';
export const noReason = 'no reason given';
export const workingThemOut = 'Working them out.';
export const drawingFirst = 'The drawing comes first';
export const noSuchJob = 'No such job here';
export const whoMeasures = 'who measures';
export const theRoom = 'the room, and the gauges in it';
export const howWarm = 'how warm the room is';
export const notReading = 'not a reading';
export const lastChecked = (gauge: string, months: number): string => `△ ${gauge} was last checked ${String(months)} months ago`;
