import { practice } from '../../shop';
import { knurl } from './knurl';
import { spareIn } from '../spare';
import { cutWindow } from '../cutWindow';
import { detailWords, type Feature, inward, type PartDetail } from '../../drawing';
import { length, say } from '../../quantity';
import { type Facts, reason } from '../facts';
import { type At, type Operation, operation } from '../outcome';

const isGroove = (kind: PartDetail['kind']) => kind === 'groove' || kind === 'ringGroove' || kind === 'faceGroove';

/** Grooves and knurls of the rows that this setup turned, and what is cut in its end face. */
export const detailsOf = (facts: Facts, at: At, rows: readonly Feature[]): readonly PartDetail[] =>
  facts.part.details.filter((d) => d.on === at.end || rows.some((r) => r.id === d.on));

export const detailStep = (rows: readonly Feature[], detail: PartDetail): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const row = rows.find((r) => r.id === detail.on);
    const surface = row ? row.nearDiameter.nominal / 2 : 0;
    const bottom = (detail.diameter?.nominal ?? 0) / 2;
    if (isGroove(detail.kind)) {
      const inside = row !== undefined && row.side !== 'outside';
      const face = detail.kind === 'faceGroove';
      const depth = detail.depth ?? 0;
      const into = inward(at.end);
      const window: readonly [number, number, number, number] = face
        ? [detail.near, detail.near + into * depth, bottom - (detail.width ?? 0), bottom]
        : inside
          ? [detail.near, detail.far, surface - 0.5, bottom]
          : [detail.near, detail.far, bottom, surface + 0.5];
      cutWindow(draft, {
        verb: 'groove',
        about: detail.id,
        says: detail.says,
        why: reason('tool-width', say`${detailWords[detail.kind]}: the blade’s edge touched on the face, then moved`, detail.id),
        kind: 'groove',
        work: 'part',
        words: say`grooving tool up to ${length(detail.width ?? 0)}`,
        at: 2 * Math.max(surface, bottom),
        minutes: practice.minutesGroove,
        sweeps: spareIn(facts, ...window),
      });
    }
    if (detail.kind === 'knurl' && row) knurl(draft, row, detail);
  });
