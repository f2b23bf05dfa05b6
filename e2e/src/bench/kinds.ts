import { followKind, strata } from '../../../core/src/bench/kinds.fixture';

/** The advice followed at each kind of size on so many lathes of another make, without and with the slips of a hand. */
export function kinds(lathes: number): void {
  console.log(`${String(lathes)} lathes of another make for each kind of size, gauge and dial such that they can`);
  console.log('kind          in       past     cuts and readings   with slips: in   past');
  for (const kind of strata) {
    const of = (slips: boolean) => {
      const all = Array.from({ length: lathes }, (_, i) => followKind(i + 1, kind, slips));
      const share = (landed: string) => `${((100 * all.filter((e) => e.landed === landed).length) / lathes).toFixed(1)} %`;
      return { in: share('in'), past: share('past'), cuts: (all.reduce((sum, e) => sum + e.cuts + e.readings, 0) / lathes).toFixed(1) };
    };
    const [plain, slips] = [of(false), of(true)];
    console.log(
      `${kind.padEnd(12)} ${plain.in.padStart(7)} ${plain.past.padStart(8)} ${plain.cuts.padStart(12)} ${slips.in.padStart(20)} ${slips.past.padStart(8)}`,
    );
  }
}
