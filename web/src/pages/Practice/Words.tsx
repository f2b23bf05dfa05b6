import { type Word, wordNamed, words } from '@obra/core/glossary';
import { useMemo, useState } from 'react';
import { Form } from 'react-bootstrap';
import { Link, useSearchParams } from 'react-router';
import { Finding } from '../../shell/search';
import { WordPicture } from '../../slate';
import { wordsOfTrade } from '../../words/titles';

const finding = new Finding(words, (w) => `${w.word} ${(w.also ?? []).join(' ')} ${w.says}`);
const sorted = [...words].sort((a, b) => a.word.toLowerCase().localeCompare(b.word.toLowerCase()));

/** The words of the trade, each in a sentence or two: found by any of its names, or by what it says. */
export function Words() {
  const [search] = useSearchParams();
  const linked = search.get('w') ?? '';
  // a link asks for a word; what is typed after it stands until the next
  const [typed, setTyped] = useState({ after: linked, text: linked });
  const asked = typed.after === linked ? typed.text : linked;
  const named = wordNamed(asked);
  const found = useMemo(() => (asked.trim() === '' ? sorted : finding.find(asked).lines), [asked]);
  const shown: readonly Word[] = named ? [named, ...found.filter((w) => w !== named)] : found;
  return (
    <main className="scroll listing">
      <h1>{wordsOfTrade}</h1>
      <Form onSubmit={(e) => e.preventDefault()} className="mb-3">
        <Form.Control
          className="most-460"
          aria-label="find a word"
          placeholder="stick-out, TIR, form A, what the feed leaves"
          value={asked}
          maxLength={60}
          onChange={(e) => setTyped({ after: linked, text: e.target.value })}
        />
      </Form>
      {shown.length === 0 && <p>No word of the trade is called so here.</p>}
      <dl className="trade-words" aria-live="polite">
        {shown.map((w) => (
          <div key={w.word} className={w === named ? 'asked' : ''}>
            <WordPicture word={w.word} />
            <dt>
              {w.word}
              {w.also && <span className="quiet"> {w.also.join(', ')}</span>}
            </dt>
            <dd>
              {w.says}
              {w.near && (
                <span className="quiet">
                  {' '}
                  See{' '}
                  {w.near.map((n, i) => (
                    <span key={n}>
                      {i > 0 && ', '}
                      <Link to={`/practice/words?w=${encodeURIComponent(n)}`}>{n}</Link>
                    </span>
                  ))}
                  .
                </span>
              )}
            </dd>
          </div>
        ))}
      </dl>
    </main>
  );
}
