import { type Units, writeSentence } from '@obra/core/quantity';
import { shopTables } from '@obra/core/shop';
import { Form, ListGroup, Modal } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import useSWR from 'swr';
import { listSummaries } from '../data/jobs';
import { capOf, useListedKeys } from './keys';
import { useUnits } from './units';

interface Place {
  readonly to: string;
  readonly says: string;
}

/** What the standards say of a text, the page of the Handbook it belongs to, and every page by its words. */
async function answersTo(text: string, units: Units) {
  const { calculators, lookUp, placeFor } = await import('./lookUp');
  const place = placeFor(text);
  const title = calculators.find((c) => c.id === place?.calculator)?.title ?? '';
  return {
    text,
    results: lookUp(text, units),
    place: place && {
      to: `/handbook/${place.calculator}?${new URLSearchParams({ d: place.d, ...(units === 'in' && { u: 'in' }) }).toString()}`,
      says: `Handbook: ${title}, ${place.d}`,
    },
    calculators: calculators.map((c) => ({
      to: `/handbook/${c.id}`,
      says: `Handbook: ${c.title}`,
      words: `handbook ${c.title} ${c.words}`.toLowerCase(),
    })),
  };
}

interface Props {
  readonly open: 'find' | 'keys';
  readonly text: string;
  readonly setText: (text: string) => void;
  readonly close: () => void;
}

/** Jobs and places by any word, what the standards know; or the keys. */
export function FinderDialog({ open, text, setText, close }: Props) {
  const navigate = useNavigate();
  const keys = useListedKeys();
  const { units } = useUnits('mm');
  const { data } = useSWR(open === 'find' ? 'jobs' : null, () => listSummaries());
  const places = [
    { to: '/', says: 'Type a part on one line' },
    { to: '/dial', says: 'What do I dial now?' },
    { to: '/jobs', says: 'Jobs' },
    ...shopTables.map((t) => ({ to: `/shop/${t.list}`, says: `Shop: ${t.words}` })),
    { to: '/shop/ways', says: 'Shop: ways of working' },
    { to: '/handbook', says: 'Handbook' },
    { to: '/logbook', says: 'Logbook, backup' },
    ...(data?.summaries ?? []).flatMap((j) =>
      ['drawing', 'holding', 'route', 'bench', 'inspection'].map((stage) => ({ to: `/jobs/${j.id}/${stage}`, says: `${j.name}: ${stage}` })),
    ),
  ];
  // what the standards answer stays while the next letter is looked up
  const { data: known } = useSWR(open === 'find' && text.trim() !== '' ? ['look-up', text, units] : null, () => answersTo(text, units), {
    keepPreviousData: true,
  });
  const results = text.trim() === '' ? [] : (known?.results ?? []);
  const words = text
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '');
  const found: readonly Place[] = [
    ...(known?.text === text && known.place ? [known.place] : []),
    ...places.filter((p) => words.every((w) => p.says.toLowerCase().includes(w))),
    ...(words.length === 0 ? [] : (known?.calculators ?? []).filter((c) => words.every((w) => c.words.includes(w)))),
  ].slice(0, 9);
  const go = (to: string | undefined) => {
    if (to === undefined) return;
    close();
    void navigate(to);
  };
  return (
    <Modal show onHide={close} animation={false} {...(open === 'keys' && { size: 'lg' as const })} aria-label={open === 'keys' ? 'Keys' : 'Find'}>
      <Modal.Body>
        {open === 'find' ? (
          <>
            <Form
              onSubmit={(e) => {
                e.preventDefault();
                go(found[0]?.to);
              }}>
              <Form.Control
                autoFocus
                value={text}
                onChange={(e) => setText(e.target.value)}
                aria-label="Find a job, a place or a size"
                placeholder="a job, a stage, M12x1.5, 25 H7/g6, 10-32 tap, #7"
              />
            </Form>
            {results.length > 0 && (
              <ul className="found" aria-label="From the standards" aria-live="polite">
                {results.map((r) => (
                  <li key={r.source + writeSentence(r.says, 'mm')}>
                    {writeSentence(r.says, units)} <span className="quiet">{r.source}</span>
                  </li>
                ))}
              </ul>
            )}
            <ListGroup variant="flush" className="mt-2">
              {found.map((p) => (
                <ListGroup.Item action key={p.to} onClick={() => go(p.to)}>
                  {p.says}
                </ListGroup.Item>
              ))}
            </ListGroup>
            {found.length === 0 && results.length === 0 && <p className="quiet mt-2 mb-0">Nothing by these words.</p>}
          </>
        ) : (
          <div className="keys">
            {[...new Set(keys.map((k) => k.scope))].map((scope) => (
              <table key={scope} className="plain" aria-label={scope}>
                <caption>{scope}</caption>
                <tbody>
                  {keys
                    .filter((k) => k.scope === scope)
                    .map(({ says, keys: some }) => (
                      <tr key={says} data-keys={some.join(' ')} data-scope={scope}>
                        <td className="fig">{[...new Set(some.map(capOf))].join(', ')}</td>
                        <td>{says}</td>
                      </tr>
                    ))}
                </tbody>
              </table>
            ))}
          </div>
        )}
      </Modal.Body>
    </Modal>
  );
}
