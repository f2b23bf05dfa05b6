import { kienzle, materials } from '../standards';

/** What a force is reckoned from: the materials of the table, then the list of Kienzle; kc1.1 in N/mm2. @source from memory of the usual list */
export const kcLists = [
  ...materials.map((m) => [m.id, m.name, m.kc, m.mc] as const),
  ...kienzle.map(([name, kc, mc]) => [`k:${name}`, `${name} (list)`, kc, mc] as const),
];
