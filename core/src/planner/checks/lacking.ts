import type { Job, Shop } from '../../document';
import type { Finding, FindingCode } from '../../finding';
import { say, type Sentence } from '../../quantity';
import { isChuck, startingShop } from '../../shop';
import { materials } from '../../standards';

/** A material that is not in the table is planned as mild steel, and said so. */
export function unknownMaterial(job: Job): readonly Finding[] {
  const { material } = job.drawing;
  if (materials.some((m) => m.id === material)) return [];
  return [
    {
      code: 'material-unknown',
      about: 'holding',
      severity: 'caution',
      says: say`the material “${material}” is not in the table`,
      why: say`speeds, forces and growth are taken as those of mild steel`,
      mends: [{ says: say`take mild steel`, to: 'job', edits: [{ op: 'put', at: 'drawing/material', value: 'mild-steel' }] }],
    },
  ];
}

/** What the shop cannot do without and has none of, with the like of it that may be assumed. */
export function nothingInShop(code: FindingCode, about: string, says: Sentence, shop: Shop): Finding {
  const start = startingShop();
  const [item] = code === 'no-machine' ? start.machines : start.holdings.filter(isChuck);
  const list = code === 'no-machine' ? 'machines' : 'holdings';
  return {
    code,
    about,
    severity: 'stop',
    says,
    why: say`nothing can be turned without it`,
    mends:
      item && !shop[list].some((i) => i.id === item.id)
        ? [{ says: say`assume a ${item.name}`, to: 'shop', edits: [{ op: 'put', at: `${list}/#${item.id}`, value: item }] }]
        : [],
  };
}
