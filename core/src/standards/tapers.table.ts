/* Named tapers: ASME B5.10, ISO 296 / DIN 228, ISO 297, handbooks; from memory. Inches unless named. */
/** Morse: taper per foot, large end, small end of the plug, depth of the plug. */
export const morseTapers: Readonly<Record<string, readonly [number, number, number, number]>> = {
  '0': [0.6246, 0.3561, 0.252, 2],
  '1': [0.59858, 0.475, 0.369, 2.125],
  '2': [0.59941, 0.7, 0.572, 2.5625],
  '3': [0.60235, 0.938, 0.778, 3.1875],
  '4': [0.62326, 1.231, 1.02, 4.0625],
  '4.5': [0.624, 1.5, 1.266, 4.5],
  '5': [0.63151, 1.748, 1.475, 5.1875],
  '6': [0.62565, 2.494, 2.116, 7.25],
  '7': [0.624, 3.27, 2.75, 10],
};
/** Morse: gauge diameter D in mm. */
export const morseGauge: Readonly<Record<string, number>> = { '0': 9.045, '1': 12.065, '2': 17.78, '3': 23.825, '4': 31.267, '5': 44.399, '6': 63.348 };
/** Jacobs: taper per foot, large end, small end, length. */
export const jacobsTapers: Readonly<Record<string, readonly [number, number, number, number]>> = {
  '0': [0.59145, 0.25, 0.22844, 0.4375],
  '1': [0.92508, 0.384, 0.33341, 0.65625],
  '2': [0.97861, 0.559, 0.48764, 0.875],
  '2S': [0.97861, 0.5488, 0.48764, 0.75],
  '3': [0.63898, 0.811, 0.7461, 1.21875],
  '4': [0.62886, 1.124, 1.0372, 1.6563],
  '5': [0.6201, 1.413, 1.3161, 1.875],
  '6': [0.62292, 0.676, 0.6241, 1],
  '33': [0.76194, 0.624, 0.5605, 1],
};
/** Brown and Sharpe: taper per foot, small end; medium confidence. */
export const brownSharpeTapers: Readonly<Record<string, readonly [number, number]>> = {
  '1': [0.502, 0.2],
  '2': [0.502, 0.25],
  '3': [0.502, 0.3125],
  '4': [0.5024, 0.35],
  '5': [0.5016, 0.45],
  '6': [0.50329, 0.5],
  '7': [0.50147, 0.6],
  '8': [0.501, 0.75],
  '9': [0.50085, 0.9001],
  '10': [0.51612, 1.04465],
  '11': [0.501, 1.24995],
  '12': [0.49973, 1.5001],
  '13': [0.5002, 1.75005],
  '14': [0.5, 2],
  '15': [0.5, 2.25],
  '16': [0.5, 2.5],
};
/** 7/24: gauge diameter in mm. */
export const sevenTwentyFour: Readonly<Record<string, number>> = { '30': 31.75, '40': 44.45, '45': 57.15, '50': 69.85, '60': 107.95 };
/** Metric 1:20: gauge diameter in mm. */
export const metricTapers: readonly number[] = [4, 6, 80, 100, 120, 160, 200];
