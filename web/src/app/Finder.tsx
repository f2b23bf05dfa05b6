import { writeSentence } from '@obra/core';
import { useMemo, useState } from 'react';
import { Form, ListGroup, Modal } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import useSWR from 'swr';
import { listJobs } from '../data/jobs';
import { useKeys } from './keys';
import { useUnits } from './units';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 – 5', 'stages of a job'],
  ['[  ]', 'previous, next step'],
  ['u', 'millimetres or inches'],
  ['/', 'find anything'],
  ['0', 'fit the picture'],
  ['Esc', 'leave a cell, keep its text'],
  ['Enter', 'next row; at the Bench: next'],
  ['i', 'at the Bench: the formula'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo'],
  ['Alt+Up, Alt+Down', 'move a row'],
  ['?', 'these keys'],
];

/** `/` finds jobs and places by any word, and answers what the standards know; `?` shows the keys. */
export function Finder() {
  const [open, setOpen] = useState<'find' | 'keys' | undefined>();
  const [text, setText] = useState('');
  const navigate = useNavigate();
  const { units } = useUnits('mm');
  const { data } = useSWR(open === 'find' ? 'jobs' : null, () => listJobs());
  useKeys(
    useMemo(
      () => ({
        '/': () => {
          setText('');
          setOpen('find');
        },
        '?': () => setOpen('keys'),
      }),
      [],
    ),
  );
  const places = [
    { to: '/', says: 'Type a part on one line' },
    { to: '/dial', says: 'What do I dial now?' },
    { to: '/jobs', says: 'Jobs' },
    ...(data?.jobs ?? []).flatMap((j) =>
      ['drawing', 'holding', 'route', 'bench', 'inspection'].map((stage) => ({ to: `/jobs/${j.id}/${stage}`, says: `${j.job.name}: ${stage}` })),
    ),
  ];
  const { data: results = [] } = useSWR(open === 'find' && text.trim() !== '' ? ['look-up', text, units] : null, () =>
    import('./lookUp').then(({ lookUp }) => lookUp(text, units)),
  );
  const words = text
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '');
  const found = places.filter((p) => words.every((w) => p.says.toLowerCase().includes(w))).slice(0, 9);
  const go = (to: string | undefined) => {
    if (to === undefined) return;
    setOpen(undefined);
    void navigate(to);
  };
  return (
    <Modal show={open !== undefined} onHide={() => setOpen(undefined)} animation={false} aria-label={open === 'keys' ? 'Keys' : 'Find'}>
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
                aria-label="Find a job or a place"
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
          <table className="plain">
            <tbody>
              {KEYS.map(([k, w]) => (
                <tr key={k}>
                  <td className="fig">{k}</td>
                  <td>{w}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Modal.Body>
    </Modal>
  );
}
