import type { Sentence } from '../quantity';
import type { RuleName } from './rules.table';
import type { FindingCode } from './codes.table';
import { subjectIn } from '../ref';

export type Severity = 'stop' | 'caution' | 'note';

/** One check that has something to say. Its key is `${code}@${about}`. */
export interface Finding {
  readonly code: FindingCode;
  readonly about: string;
  readonly severity: Severity;
  readonly says: Sentence;
  readonly why: Sentence;
  readonly mends: readonly Mend[];
  /** what brought it about, where it may bring about more of the same: a grip, a gauge, a holder */
  readonly cause?: string;
  /** what the same cause touches besides `about` */
  readonly touches?: readonly string[];
}

/** A one-press fix. Data, never a function: it crosses the worker and undoes like typing. */
export interface Mend {
  readonly says: Sentence;
  readonly to: 'job' | 'shop';
  readonly edits: readonly Edit[];
}

/** `at` names list members by id: 'drawing/outside/#s3/size'. `before` (an id) places a new or moved list member. */
export type Edit =
  { readonly op: 'put'; readonly at: string; readonly value: unknown; readonly before?: string } | { readonly op: 'remove'; readonly at: string };

/** The rule that decided something, said with its numbers; `binds` names the steps or rows it ties together. */
export interface Reason {
  readonly rule: RuleName;
  readonly says: Sentence;
  readonly binds: readonly string[];
}

/** The rows, setups or things that a finding touches, without aspect or verb: 's2' of 's2.diameter' and of 'finish-turn@s2:left-1'; what it is about first. */
export const subjectsOf = (finding: Finding): readonly string[] => [...new Set([finding.about, ...(finding.touches ?? [])].map(subjectIn))];

/** What has one cause is one finding: the gravest of them, with its fixes and theirs, and the list of what the others touch. */
export function once(findings: readonly Finding[]): readonly Finding[] {
  const byCause = new Map<string, Finding[]>();
  for (const f of findings) {
    const key = f.cause === undefined ? findingKey(f) : `${f.code} ${f.cause}`;
    byCause.set(key, [...(byCause.get(key) ?? []), f]);
  }
  return [...byCause.values()].flatMap((same): readonly Finding[] => {
    const [first] = gravestFirst(same);
    if (!first || same.length === 1) return same;
    const touches = [...new Set(same.map((f) => f.about))].filter((about) => about !== first.about);
    // one press for all that it touches
    const mends = new Map<string, Mend>();
    for (const m of same.flatMap((f) => f.mends)) {
      const key = JSON.stringify([m.says, m.to]);
      const before = mends.get(key)?.edits ?? [];
      mends.set(key, { ...m, edits: [...before, ...m.edits.filter((e) => !before.some((b) => JSON.stringify(b) === JSON.stringify(e)))] });
    }
    return [{ ...first, mends: [...mends.values()], ...(touches.length > 0 && { touches }) }];
  });
}

const gravity = { stop: 0, caution: 1, note: 2 } as const;

/** The gravest first. */
export const gravestFirst = (findings: readonly Finding[]): readonly Finding[] =>
  findings.toSorted((a, b) => gravity[a.severity] - gravity[b.severity]);

/** What a finding is about, with its code: the same check about the same things has the same key. */
export const findingKey = ({ code, about, touches = [] }: Finding): string => [`${code}@${about}`, ...touches].join('+');
