/* Materials: physical values and starting speeds typical, from memory; kc1.1 and mc by the Kienzle list, from memory, where a like material stands in it is named. */

export interface Material {
  readonly id: string;
  readonly name: string;
  /** millionths a degree C */
  readonly alpha: number;
  /** N/mm2 of a chip 1 x 1 mm, and its exponent */
  readonly kc: number;
  readonly mc: number;
  /** starting cutting speed, m/min, turning */
  readonly hss: number;
  readonly carbide: number;
  /** roughing depth (mm, on radius) and feed (mm/rev) a mid-size lathe takes short and stout */
  readonly depth: number;
  readonly feed: number;
  readonly source: string;
}

export const materials: readonly Material[] = [
  { id: 'mild-steel', name: 'mild steel', alpha: 11.7, kc: 1780, mc: 0.17, hss: 30, carbide: 120, depth: 2.5, feed: 0.2, source: '1018; kc of S235JR' },
  { id: 'free-cutting-steel', name: 'free-cutting steel', alpha: 11.7, kc: 1200, mc: 0.18, hss: 45, carbide: 150, depth: 2.5, feed: 0.2, source: '12L14; kc of 11SMn30' },
  { id: 'steel-45', name: 'medium carbon steel', alpha: 11.5, kc: 2220, mc: 0.14, hss: 22, carbide: 100, depth: 2, feed: 0.18, source: '1045; kc of C45E' },
  { id: 'alloy-steel', name: 'alloy steel, annealed', alpha: 12.3, kc: 2500, mc: 0.26, hss: 18, carbide: 90, depth: 2, feed: 0.18, source: '4140; kc of 42CrMo4' },
  { id: 'stainless-303', name: 'stainless 303', alpha: 17.2, kc: 2350, mc: 0.21, hss: 24, carbide: 90, depth: 1.75, feed: 0.18, source: '303; kc of X5CrNi18-10' },
  { id: 'stainless-316', name: 'stainless 316', alpha: 16, kc: 2350, mc: 0.21, hss: 15, carbide: 60, depth: 1.75, feed: 0.2, source: '316; kc of X5CrNi18-10' },
  { id: 'aluminium', name: 'aluminium 6061', alpha: 23.6, kc: 700, mc: 0.25, hss: 100, carbide: 250, depth: 3, feed: 0.2, source: '6061-T6; kc usual for wrought aluminium, unsure by 20 %' },
  { id: 'brass', name: 'free-cutting brass', alpha: 20.5, kc: 780, mc: 0.18, hss: 60, carbide: 150, depth: 2.5, feed: 0.18, source: 'C360; kc of CuZn40Pb2' },
  { id: 'bronze', name: 'bearing bronze', alpha: 18, kc: 780, mc: 0.18, hss: 30, carbide: 90, depth: 2, feed: 0.15, source: 'SAE 660; kc as brass, unsure by 30 %' },
  { id: 'silver-steel', name: 'silver steel', alpha: 11.2, kc: 2260, mc: 0.3, hss: 15, carbide: 60, depth: 1.5, feed: 0.15, source: 'O1 annealed; kc of E360' },
  { id: 'acetal', name: 'acetal', alpha: 110, kc: 180, mc: 0.2, hss: 100, carbide: 150, depth: 2, feed: 0.15, source: 'POM, low confidence' },
];
