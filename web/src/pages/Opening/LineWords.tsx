import type { LineWord } from '@obra/core/drawing';
import { type Units, writeSentence } from '@obra/core/quantity';
import { Mark } from '../../slate';

interface Props {
  readonly text: string;
  readonly words: readonly LineWord[];
  readonly units: Units;
  /** a word pressed is marked in the line */
  readonly onPick: (word: LineWord) => void;
}

/** What was made of the line, word by word under it; the first wrong place is marked, and pressed it is chosen in the line. */
export function LineWords({ text, words, units, onPick }: Props) {
  const first = words.find((w) => w.wrong);
  return (
    <ul className="line-words" aria-label="What was made of it">
      {words.map((w) => (
        <li key={w.from} className={w === first ? 'bad' : ''}>
          <button type="button" onClick={() => onPick(w)}>
            <span className="fig">{text.slice(w.from, w.to) || '…'}</span>
            <span className="quiet">
              {w === first && <Mark severity="stop" />} {writeSentence(w.says, units)}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
