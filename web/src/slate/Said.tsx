import { isFigure, type Sentence, type Units, writeSentence } from '@obra/core/quantity';
import { FigureNumber } from './FigureNumber';

/** What closes a word and never begins a line. */
const closing = /^[,.;:)]+/;

/** A sentence on screen: what was computed in it opens its formula, like any other number, and keeps the comma after it on its line. */
export function Said({ sentence, units }: { readonly sentence: Sentence; readonly units: Units }) {
  const after = (i: number): string => {
    const next = sentence[i];
    return typeof next === 'string' ? (closing.exec(next)?.[0] ?? '') : '';
  };
  return sentence.map((part, i) => {
    if (isFigure(part))
      return (
        <span key={i} className="text-nowrap">
          <FigureNumber figure={part} units={units} withUnit />
          {after(i + 1)}
        </span>
      );
    const before = sentence[i - 1];
    const text = writeSentence([part], units);
    return before !== undefined && isFigure(before) ? text.replace(closing, '') : text;
  });
}
