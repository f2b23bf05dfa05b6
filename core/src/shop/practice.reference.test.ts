/*
 * The numbers of the trade against the ranges that turners, handbooks and standards give, typed apart from the table. `common practice` unless another source is named;
 * a range holds what is usual, so that a number that slips out of it is noticed.
 */
import { practice } from './practice.table';
import { practices } from './practiceWords.table';

type Name = keyof typeof practice;

const ranges: readonly (readonly [name: Name, least: number, most: number])[] = [
  // left on, and taken off
  ['shoulderLeft', 0.1, 0.3],
  ['realCutShare', 0.35, 0.5],
  ['boreLeft', 0.1, 0.25],
  ['boreAtLeast', 0.8, 1.5],
  ['smallDrill', 6, 6],
  ['smallOverLeast', 0.03, 0.03],
  ['smallOverMost', 0.1, 0.1],
  ['drillOverLeast', 0.1, 0.1],
  ['drillOverMost', 0.15, 0.2],
  ['followsMost', 0.4, 0.5],
  ['followOver', 0.05, 0.05],
  ['pilotFrom', 10, 13],
  ['webShare', 0.15, 0.25],
  ['filedMost', 1.5, 3],
  ['stepDrillLeast', 0.2, 0.2],
  ['stepDrillMost', 0.4, 0.4],
  ['emeryLeft', 0.01, 0.025],
  ['grindingLeft', 0.2, 0.3],
  ['grindingLeftSlender', 0.35, 0.5],
  ['emeriedTo', 0.04, 0.06],
  ['thickestPlating', 0.1, 0.25],
  // holes and threads
  ['barEnters', 0.65, 0.75],
  ['threadBarEnters', 0.7, 0.8],
  ['reamerLead', 1, 2],
  ['plugLead', 3, 5],
  ['bottomingLead', 1, 2],
  ['tapChips', 1.5, 3],
  ['quillLess', 10, 15],
  ['springPasses', 2, 3],
  ['coneOfPilot', 1.8, 2.12],
  ['dieAlone', 1.25, 1.75],
  ['slipLeast', 0.01, 0.01],
  ['slipMost', 0.02, 0.025],
  ['creepsFrom', 0.05, 0.05],
  ['sawsHand', 150, 200],
  ['sawsPower', 500, 800],
  ['sawsTough', 0.5, 0.5],
  ['sawsSoft', 1.5, 2],
  ['sawsPlastic', 4, 8],
  ['handsMargin', 0.05, 0.1],
  ['pressFriction', 0.12, 0.2],
  ['runsOut', 2, 3],
  ['dieRunsOut', 1.5, 1.5],
  ['begunShare', 0.4, 0.6],
  ['tapBoughtTo', 14, 18],
  ['threadPass', 0.08, 0.15],
  // bar and holding
  ['faceFirst', 0.8, 1.2],
  ['faceSecond', 1.2, 2],
  ['bladeGapLeast', 5, 5],
  ['bladeGap', 6, 13],
  ['spare', 8, 15],
  ['sawKerf', 1.5, 2.5],
  ['stub', 50, 70],
  ['dog', 15, 25],
  ['faceInsteadFrom', 8, 15],
  ['discGripLeast', 6, 6],
  ['shortGrip', 6, 10],
  ['neckTurnedFrom', 4, 6],
  ['longCut', 100, 200],
  ['brokenCut', 0.6, 0.85],
  ['faceForCentre', 2, 4],
  ['discGripMost', 10, 10],
  ['discFrom', 0.7, 1.3],
  ['leastGrip', 8, 12],
  ['centringOut', 15, 25],
  ['centresFrom', 4.5, 6],
  ['bothEndsFrom', 3.5, 5],
  ['besideJaws', 1.5, 3],
  ['followBehind', 3, 6],
  ['plungedMost', 8, 12],
  ['compoundTravel', 50, 75],
  ['spindleLong', 300, 400],
  // physics of the shop: hard jaws on steel 0.15 to 0.25 (from memory), VDI 3106 asks for 1.5 (from memory), steel 206 to 210 kN/mm2
  ['friction', 0.15, 0.25],
  ['gripFactor', 1.5, 2.5],
  ['motorShare', 0.75, 0.85],
  ['steelModulus', 205_000, 211_000],
  ['thickWall', 0.4, 0.6],
  ['lightGrip', 0.3, 0.35],
  ['crowds', 1.15, 1.3],
  // carbon tool steel hardens at 760 to 820, a tough temper is 230 to 290 (handbooks, from memory); 10 to 20 % of the work stays in the piece
  ['hardensAt', 760, 820],
  ['tempersAt', 230, 290],
  ['heatStays', 0.1, 0.2],
  ['warmest', 55, 65],
  ['warmthPretends', 0.08, 0.12],
  // what is told
  ['tooFastTold', 1.2, 1.3],
  ['tooFastStops', 2, 2],
  ['freshShare', 0.5, 0.5],
  ['finestLength', 0.02, 0.03],
  ['surprise', 4, 6],
  ['notCut', 0.1, 0.2],
  ['sticksUnder', 20, 30],
  ['thinShare', 0.02, 0.03],
];

/*
 * Sizes of holders, clearances and minutes of hands for which no source is named: a quarter either way of what was chosen. That is a fence, no check: a slip is noticed,
 * and a change is one that was meant.
 */
const fences: readonly (readonly [name: Name, least: number, most: number])[] = [
  ['knurlWidth', 3.2, 5],
  ['knurlWheel', 16, 25],
  ['knurlYield', 160, 250],
  ['grindingSlenderFrom', 8, 12],
  ['preferredBroken', 2.4, 3.8],
  ['lightCut', 0.4, 0.62],
  ['finishedWithin', 0.016, 0.025],
  ['startedClear', 1.6, 2.5],
  ['leastBeyond', 36, 56],
  ['outOfRoundUnseen', 0.004, 0.0063],
  ['sameChucking', 0.004, 0.0063],
  ['toolClear', 1.6, 2.5],
  ['lightPush', 24, 38],
  ['bendsFrom', 0.08, 0.12],
  ['longestLife', 380, 600],
  ['postLateral', 16000, 25000],
  ['postAngular', 24_000_000, 37_500_000],
  ['bladeHigh', 9.6, 15],
  ['roomWanted', 0.8, 1.2],
  ['faultFrom', 0.1, 0.16],
  ['behindHole', 1.6, 2.5],
  ['holderWide', 13, 20],
  ['insertWide', 6.4, 10],
  ['jawHigh', 18, 28],
  ['colletNose', 11, 18],
  ['chuckBehind', 28, 44],
  ['groundClear', 12, 19],
  ['approach', 1.6, 2.5],
  ['sameMade', 0.0016, 0.0025],
  ['sleeveWall', 1.2, 1.9],
  ['threadNose', 0.048, 0.075],
  ['pauseFrom', 24, 38],
  ['inset', 2.4, 3.8],
  ['givesMuch', 0.56, 0.88],
  ['sure', 0.85, 0.95],
  ['atOnce', 0.98, 0.995],
  ['staysOn', 0.096, 0.15],
  ['thinWall', 0.4, 0.62],
  ['tempersFor', 48, 75],
  ['toolChange', 0.4, 0.62],
  ['minutesAside', 0.24, 0.38],
  ['minutesPass', 0.16, 0.25],
  ['minutesMeasured', 1.2, 1.9],
  ['minutesFace', 0.4, 0.62],
  ['minutesFaceLength', 1.2, 1.9],
  ['minutesKnurlBlank', 0.8, 1.2],
  ['minutesKnurl', 2.4, 3.8],
  ['minutesCorner', 0.8, 1.2],
  ['minutesUndercut', 0.8, 1.2],
  ['minutesForm', 4.8, 7.5],
  ['formPerMinute', 8, 12],
  ['minutesSetOver', 6.4, 10],
  ['setOverPerMinute', 20, 31],
  ['minutesCompound', 3.2, 5],
  ['minutesTwoBites', 8, 12],
  ['compoundPerMinute', 16, 25],
  ['minutesPlunge', 2.4, 3.8],
  ['minutesChamfer', 0.48, 0.75],
  ['minutesMouth', 0.64, 1],
  ['minutesGroove', 1.2, 1.9],
  ['minutesCentreUp', 0.4, 0.62],
  ['minutesSteady', 2, 3.1],
  ['minutesSaw', 1.6, 2.5],
  ['minutesHole', 1.2, 1.9],
  ['minutesSide', 2, 3.1],
  ['minutesLooked', 0.4, 0.62],
  ['minutesPlungeMove', 0.32, 0.5],
  ['minutesSlideSet', 1.2, 1.9],
  ['minutesPart', 0.8, 1.2],
  ['minutesAway', 4, 6.2],
  ['minutesGrind', 12, 19],
  ['minutesEmery', 1.6, 2.5],
  ['minutesDie', 3.2, 5],
  ['minutesTap', 3.2, 5],
  ['minutesTapPower', 1.6, 2.5],
  ['minutesThread', 0.8, 1.2],
  ['minutesThreadPass', 0.24, 0.38],
  ['minutesBoreHand', 2.4, 3.8],
  ['borePerMinute', 12, 19],
  ['minutesBore', 0.8, 1.2],
  ['minutesBoreMeasured', 1.6, 2.5],
  ['minutesBorePass', 0.24, 0.38],
  ['minutesCentreDrill', 0.64, 1],
  ['minutesDrill', 0.4, 0.62],
  ['minutesPeck', 0.12, 0.19],
  ['minutesHone', 2.4, 3.8],
  ['minutesIndex', 0.8, 1.2],
  ['minutesNeck', 0.8, 1.2],
  ['minutesCheck', 0.8, 1.2],
  ['minutesChuck', 1.2, 1.9],
  ['minutesTurnRound', 2, 3.1],
  ['minutesBetween', 1.6, 2.5],
  ['minutesPlate', 6.4, 10],
  ['minutesRim', 4.8, 7.5],
  ['minutesTry', 4, 6.2],
  ['handsHeat', 8, 12],
  ['soaks', 24, 38],
  ['handsTemper', 4, 6.2],
  ['handsCoat', 8, 12],
  ['platesFor', 48, 75],
  ['blacksFor', 8, 12],
  ['handsShrink', 8, 12],
  ['shrinksFor', 16, 25],
  ['handsPress', 4, 6.2],
  ['handsGlue', 3.2, 5],
  ['curesFor', 32, 50],
];

it.each(fences)('%s stays about where it was put, between %d and %d', (name, least, most) => {
  expect(practice[name]).toBeGreaterThanOrEqual(least);
  expect(practice[name]).toBeLessThanOrEqual(most);
});

it.each(ranges)('%s lies between %d and %d', (name, least, most) => {
  expect(practice[name]).toBeGreaterThanOrEqual(least);
  expect(practice[name]).toBeLessThanOrEqual(most);
});

it('every one has its range or its fence', () => {
  expect(new Set([...ranges, ...fences].map(([name]) => name))).toEqual(new Set(Object.keys(practice)));
});

it('each is a number with a unit, said in words', () => {
  expect(Object.keys(practices)).toEqual(Object.keys(practice));
  for (const [name, { unit, says }] of Object.entries(practices)) {
    const value = practice[name as Name];
    expect([name, Number.isFinite(value) && value > 0, unit !== '', says.length > 5]).toEqual([name, true, true, true]);
  }
});

it('what follows from one another keeps its order', () => {
  expect(practice.stepDrillLeast).toBeLessThan(practice.stepDrillMost);
  expect(practice.bottomingLead).toBeLessThan(practice.plugLead);
  expect(practice.grindingLeft).toBeLessThan(practice.grindingLeftSlender);
  expect(practice.bladeGapLeast).toBeLessThan(practice.bladeGap);
  expect(practice.minutesTapPower).toBeLessThan(practice.minutesTap);
  expect(practice.minutesIndex).toBeLessThan(practice.minutesHone);
  expect(practice.sure).toBeLessThan(practice.atOnce);
});
