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

/** The row, setup or thing that a finding is about, without aspect or verb: 's2' of 's2.diameter' and of 'finish-turn@s2:left-1'. */
export const subjectOf = (finding: Finding): string => subjectIn(finding.about);

const gravity = { stop: 0, caution: 1, note: 2 } as const;

/** The gravest first. */
export const gravestFirst = (findings: readonly Finding[]): readonly Finding[] =>
  findings.toSorted((a, b) => gravity[a.severity] - gravity[b.severity]);

/** What a finding is about, with its code: the same check about the same thing has the same key. */
export const findingKey = (finding: Finding): string => `${finding.code}@${finding.about}`;
