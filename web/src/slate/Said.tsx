import { type Figure, isFigure, type Sentence, type Units, writeSentence } from '@obra/core/quantity';
import { FigureNumber } from './FigureNumber';
import { jargonIn } from './jargon';
import { TradeWord } from './TradeWord';

/** What closes a word and never begins a line. */
const closing = /^[,.;:)]+/;

/**
 * A sentence on screen: what was computed in it opens its formula, like any other number, and keeps the comma after it on its line. With `words` the first word of the
 * trade that a newcomer stops at says what it means; `from` says where the plain quantities in it come from, which then open as well.
 */
export function Said({
  sentence,
  units,
  words = false,
  from,
}: {
  readonly sentence: Sentence;
  readonly units: Units;
  readonly words?: boolean;
  readonly from?: string | undefined;
}) {
  const first = words ? sentence.findIndex((part) => typeof part === 'string' && jargonIn(part) !== undefined) : -1;
  const after = (i: number): string => {
    const next = sentence[i];
    return typeof next === 'string' ? (closing.exec(next)?.[0] ?? '') : '';
  };
  return sentence.map((part, i) => {
    const shows: Figure | undefined = isFigure(part)
      ? part
      : typeof part === 'string' || from === undefined
        ? undefined
        : { ...part, formula: 'asItStands', of: { value: part.value }, source: from };
    if (shows)
      return (
        <span key={i} className="text-nowrap">
          <FigureNumber figure={shows} units={units} withUnit />
          {after(i + 1)}
        </span>
      );
    const before = sentence[i - 1];
    const opened = before !== undefined && typeof before !== 'string' && (isFigure(before) || from !== undefined);
    const text = writeSentence([part], units);
    const shown = opened ? text.replace(closing, '') : text;
    const word = i === first ? jargonIn(shown) : undefined;
    if (!word) return shown;
    return (
      <span key={i}>
        {shown.slice(0, word.from)}
        <TradeWord word={word.word}>{shown.slice(word.from, word.to)}</TradeWord>
        {shown.slice(word.to)}
      </span>
    );
  });
}
