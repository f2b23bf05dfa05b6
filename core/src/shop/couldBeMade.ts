import type { Holding, Shop } from '../document';

/**
 * What a shop with a three-jaw chuck makes to hold a finished size and does not have: soft jaws bored in place, a split bush closed by the chuck. Neither marks; they
 * run as true as they were bored.
 * @source made-to-hold, soft jaws within 0.02, a split bush within 0.03: common practice
 */
export function couldBeMade({ holdings }: Pick<Shop, 'holdings'>): readonly Holding[] {
  const chuck = holdings.find((h) => h.kind === 'threeJaw');
  if (!chuck) return [];
  const made = (id: string, name: string, kind: Holding['kind'], within: string): readonly Holding[] =>
    holdings.some((h) => h.kind === kind)
      ? []
      : [
          {
            ...chuck,
            id,
            name,
            kind,
            marks: false,
            trueWithin: { text: within, units: 'mm' },
            assumed: ['trueWithin', 'newtons', 'lateral', 'angular'],
          },
        ];
  return [
    ...made('made-soft-jaws', 'soft jaws bored for it', 'softJaws', '0.02'),
    ...made('made-split-bush', 'a split bush bored for it', 'splitBush', '0.03'),
  ];
}
