/* Materials: physical values and starting speeds typical, from memory; kc1.1 and mc by the Kienzle list, from memory, where a like material stands in it is named. */

export interface Material {
  readonly id: string;
  readonly name: string;
  /** ISO 513 group of the cutting material that suits it; O for what the standard leaves out (plastics) */
  readonly group: 'P' | 'M' | 'K' | 'N' | 'S' | 'O';
  /** millionths a degree C, mean of 20 to 100 */
  readonly alpha: number;
  /** GPa */
  readonly modulus: number;
  readonly poisson: number;
  /** kg/m3 */
  readonly density: number;
  /** J/kg K */
  readonly heat: number;
  /** as usually supplied */
  readonly hardness: string;
  /** N/mm2, typical of the condition usually supplied; null where it differs too much to name one */
  readonly yield: number | null;
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
  /** what to know before cutting it; common practice */
  readonly note: string;
}

const AUSTENITIC = 'never dwell or rub; feed above 0.08 mm, depth below the hardened skin; tap towards the largest minor diameter';
const PLASTIC = 'keen tool, pecks, air or water, light grip; measure it cold';

/* prettier-ignore */
export const materials: readonly Material[] = [
  { id: 'mild-steel', name: 'mild steel', group: 'P', alpha: 11.7, modulus: 205, poisson: 0.29, density: 7870, heat: 486, hardness: '120-150 HB', yield: 370, kc: 1780, mc: 0.17, hss: 30, carbide: 120, depth: 2.5, feed: 0.2, source: '1018; kc of S235JR', note: 'drawn bar moves when its skin comes off one side: rough all round first; yield as cold drawn' },
  { id: 'free-cutting-steel', name: 'free-cutting steel', group: 'P', alpha: 11.7, modulus: 200, poisson: 0.29, density: 7870, heat: 472, hardness: '140-180 HB', yield: 400, kc: 1200, mc: 0.18, hss: 45, carbide: 150, depth: 2.5, feed: 0.2, source: '12L14, low confidence; kc of 11SMn30', note: 'lead in it: wash hands; not for welding; yield as cold drawn' },
  { id: 'steel-45', name: 'medium carbon steel', group: 'P', alpha: 11.5, modulus: 206, poisson: 0.29, density: 7850, heat: 486, hardness: '170-210 HB', yield: 340, kc: 2220, mc: 0.14, hss: 22, carbide: 100, depth: 2, feed: 0.18, source: '1045; kc of C45E', note: 'can be hardened: a hot blue chip quenched on the bed is hard and sharp' },
  { id: 'alloy-steel', name: 'alloy steel, annealed', group: 'P', alpha: 12.3, modulus: 205, poisson: 0.29, density: 7850, heat: 473, hardness: '190-220 HB', yield: 415, kc: 2500, mc: 0.26, hss: 18, carbide: 90, depth: 2, feed: 0.18, source: '4140; kc of 42CrMo4', note: 'tap towards the largest minor diameter; prehardened bar wants two thirds of the speed' },
  { id: 'silver-steel', name: 'silver steel', group: 'P', alpha: 11.2, modulus: 210, poisson: 0.29, density: 7850, heat: 460, hardness: '180-220 HB', yield: null, kc: 2260, mc: 0.3, hss: 15, carbide: 60, depth: 1.5, feed: 0.15, source: 'O1 annealed, low confidence; kc of E360', note: 'ground bar: may serve as a finished diameter; cross holes and threads before hardening' },
  { id: 'stainless-303', name: 'stainless 303', group: 'M', alpha: 17.2, modulus: 193, poisson: 0.29, density: 8000, heat: 500, hardness: '160-200 HB', yield: 240, kc: 2350, mc: 0.21, hss: 24, carbide: 90, depth: 1.75, feed: 0.18, source: '303; kc of X5CrNi18-10', note: 'the easy one of its kind; threads gall: grease them' },
  { id: 'stainless-304', name: 'stainless 304', group: 'M', alpha: 17.2, modulus: 193, poisson: 0.29, density: 8000, heat: 500, hardness: '150-190 HB', yield: 215, kc: 2350, mc: 0.21, hss: 16, carbide: 70, depth: 1.75, feed: 0.2, source: '304; kc of X5CrNi18-10', note: AUSTENITIC },
  { id: 'stainless-316', name: 'stainless 316', group: 'M', alpha: 16, modulus: 193, poisson: 0.29, density: 8000, heat: 500, hardness: '150-190 HB', yield: 215, kc: 2350, mc: 0.21, hss: 15, carbide: 60, depth: 1.75, feed: 0.2, source: '316; kc of X5CrNi18-10', note: AUSTENITIC },
  { id: 'grey-iron', name: 'grey cast iron', group: 'K', alpha: 10.5, modulus: 100, poisson: 0.26, density: 7200, heat: 490, hardness: '180-230 HB', yield: null, kc: 1160, mc: 0.26, hss: 20, carbide: 70, depth: 2, feed: 0.2, source: 'class 30; kc of EN-GJL-250', note: 'get under the skin with the first cut; dry; dust in the ways: cover the bed; no yield: it breaks' },
  { id: 'aluminium', name: 'aluminium 6061', group: 'N', alpha: 23.6, modulus: 68.9, poisson: 0.33, density: 2700, heat: 896, hardness: '95 HB', yield: 275, kc: 700, mc: 0.25, hss: 100, carbide: 250, depth: 3, feed: 0.2, source: '6061-T6; kc usual for wrought aluminium, unsure by 20 %', note: 'keen polished edge; it welds to a dull one; heat over 150 C softens it' },
  { id: 'aluminium-7075', name: 'aluminium 7075', group: 'N', alpha: 23.4, modulus: 71.7, poisson: 0.33, density: 2810, heat: 960, hardness: '150 HB', yield: 500, kc: 800, mc: 0.25, hss: 90, carbide: 200, depth: 3, feed: 0.2, source: '7075-T6; kc unsure by 20 %', note: 'chips break better than 6061; heat over 120 C softens it' },
  { id: 'brass', name: 'free-cutting brass', group: 'N', alpha: 20.5, modulus: 97, poisson: 0.34, density: 8490, heat: 380, hardness: '100-140 HB', yield: null, kc: 780, mc: 0.18, hss: 60, carbide: 150, depth: 2.5, feed: 0.18, source: 'C360; kc of CuZn40Pb2', note: 'take the keenness off a drill’s lips, or it grabs; lead in it: wash hands' },
  { id: 'bronze', name: 'bearing bronze', group: 'N', alpha: 18, modulus: 100, poisson: 0.34, density: 8930, heat: 376, hardness: '60-75 HB', yield: 125, kc: 780, mc: 0.18, hss: 30, carbide: 90, depth: 2, feed: 0.15, source: 'SAE 660; kc as brass, unsure by 30 %', note: 'closes on a dull reamer; a pressed bush closes in its bore: ream after pressing' },
  { id: 'aluminium-bronze', name: 'aluminium bronze', group: 'N', alpha: 16.2, modulus: 107, poisson: 0.34, density: 7450, heat: 419, hardness: '150-190 HB', yield: 220, kc: 1000, mc: 0.2, hss: 25, carbide: 90, depth: 1.75, feed: 0.15, source: 'C95400; kc unsure by 30 %', note: 'tough and abrasive: carbide, keen' },
  { id: 'titanium', name: 'titanium 6Al-4V', group: 'S', alpha: 8.6, modulus: 114, poisson: 0.34, density: 4430, heat: 526, hardness: '330-360 HB', yield: 880, kc: 1370, mc: 0.21, hss: 12, carbide: 45, depth: 1.5, feed: 0.15, source: 'Ti-6Al-4V; kc from memory', note: 'slow, real feed, plenty of coolant, never rub; fine chips burn: no heap of them, no water on a fire' },
  { id: 'acetal', name: 'acetal', group: 'O', alpha: 110, modulus: 2.9, poisson: 0.35, density: 1410, heat: 1470, hardness: '', yield: 65, kc: 180, mc: 0.2, hss: 100, carbide: 150, depth: 2, feed: 0.15, source: 'POM, low confidence', note: PLASTIC },
  { id: 'nylon', name: 'nylon', group: 'O', alpha: 80, modulus: 2.8, poisson: 0.39, density: 1140, heat: 1670, hardness: '', yield: null, kc: 180, mc: 0.2, hss: 100, carbide: 150, depth: 2, feed: 0.15, source: 'nylon 6/6, low confidence', note: `${PLASTIC}; it drinks water and grows` },
  { id: 'pei', name: 'polyetherimide', group: 'O', alpha: 56, modulus: 3.2, poisson: 0.36, density: 1270, heat: 1100, hardness: '', yield: 105, kc: 180, mc: 0.2, hss: 70, carbide: 130, depth: 1.5, feed: 0.12, source: 'PEI, low confidence', note: `${PLASTIC}; no coolant that crazes it` },
  { id: 'acrylic', name: 'acrylic, cast', group: 'O', alpha: 70, modulus: 3, poisson: 0.37, density: 1190, heat: 1470, hardness: '', yield: null, kc: 180, mc: 0.2, hss: 70, carbide: 110, depth: 1.5, feed: 0.12, source: 'PMMA, low confidence', note: `${PLASTIC}; drill lips blunted, or it shatters` },
];
