import { type Units, writeSentence } from '@obra/core/quantity';
import { shopTables } from '@obra/core/shop';
import { BookOpen, Clock, Crosshair, FileText, type LucideIcon, SquareArrowOutUpRight, WholeWord } from 'lucide-react';
import { type KeyboardEvent, useId, useMemo, useRef, useState } from 'react';
import { Form, Modal } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import useSWR from 'swr';
import { listSummaries } from '../data/jobs';
import { kept } from '../data/local';
import { KeyList } from './KeyList';
import { offersNow } from './offers';
import { Finding } from './search';
import { useUnits } from './units';
import { dialNow, typePart, wordsInLine, wordsOfTrade } from '../words/titles';

type Group = 'here' | 'lately' | 'jobs' | 'pages' | 'handbook' | 'words';

interface Place {
  readonly to: string;
  readonly says: string;
  readonly group: Group;
  /** found by these too */
  readonly words?: string;
  /** what it does, where it is no place */
  readonly act?: () => void;
}

const groups: Readonly<Record<Group, LucideIcon>> = {
  here: Crosshair,
  lately: Clock,
  jobs: FileText,
  pages: SquareArrowOutUpRight,
  handbook: BookOpen,
  words: WholeWord,
};
/** Of each group so many are shown. */
const EACH = 6;
/** So many places are remembered. */
const LATELY = 8;

/** What the standards say of a text, the page of the Handbook it belongs to, and every page by its words. */
async function answersTo(text: string, units: Units) {
  const { calculators, lookUp, placeFor, wordNamed, words } = await import('./lookUp');
  const word = wordNamed(text);
  const place = placeFor(text);
  const title = calculators.find((c) => c.id === place?.calculator)?.title ?? '';
  return {
    text,
    results: [...(word ? [{ says: [`${word.word}: ${word.says}`], source: wordsInLine }] : []), ...lookUp(text, units)],
    place: place && {
      to: `/handbook/${place.calculator}?${new URLSearchParams({ d: place.d, ...(units === 'in' && { u: 'in' }) }).toString()}`,
      says: `${title}, ${place.d}`,
      group: 'handbook' as const,
    },
    calculators: calculators.map((c) => ({ to: `/handbook/${c.id}`, says: c.title, group: 'handbook' as const, words: `handbook ${c.words}` })),
    words: words.map((w) => ({
      to: `/practice/words?w=${encodeURIComponent(w.word)}`,
      says: w.word,
      group: 'words' as const,
      words: `word ${(w.also ?? []).join(' ')}`,
    })),
  };
}

const pages: readonly Place[] = [
  { to: '/', says: typePart, group: 'pages' },
  { to: '/dial', says: dialNow, group: 'pages' },
  { to: '/jobs', says: 'Jobs', group: 'pages' },
  ...shopTables.map((t) => ({ to: `/shop/${t.list}`, says: `Shop: ${t.words}`, group: 'pages' as const })),
  { to: '/shop/ways', says: 'Shop: ways of working', group: 'pages' },
  { to: '/handbook', says: 'Handbook', group: 'pages' },
  { to: '/practice', says: 'Practice, never used a lathe', group: 'pages' },
  { to: '/practice/words', says: wordsOfTrade, group: 'pages' },
  { to: '/logbook', says: 'Logbook, backup', group: 'pages' },
  { to: '/guide', says: 'Guide: three jobs from a sketch to the box', group: 'pages', words: 'help how to begin manual' },
];
const stages = ['drawing', 'holding', 'route', 'bench', 'inspection'] as const;

function lately(): readonly string[] {
  try {
    const raw: unknown = JSON.parse(kept.get('lately') ?? '[]');
    return Array.isArray(raw) ? raw.filter((one) => typeof one === 'string') : [];
  } catch {
    return [];
  }
}

interface Props {
  readonly open: 'find' | 'keys';
  readonly text: string;
  readonly setText: (text: string) => void;
  readonly close: () => void;
}

/** Jobs and places by any word, what the standards know; or the keys. */
export function FinderDialog({ open, text, setText, close }: Props) {
  return (
    <Modal show onHide={close} animation={false} {...(open === 'keys' && { size: 'lg' as const })} aria-label={open === 'keys' ? 'Keys' : 'Find'}>
      <Modal.Body>{open === 'find' ? <Find text={text} setText={setText} close={close} /> : <KeyList />}</Modal.Body>
    </Modal>
  );
}

function Find({ text, setText, close }: Omit<Props, 'open'>) {
  const navigate = useNavigate();
  const { units } = useUnits('mm');
  const { data } = useSWR('jobs', () => listSummaries());
  const nothing = text.trim() === '';
  // what the standards answer stays while the next letter is looked up
  const { data: known } = useSWR(nothing ? null : ['look-up', text, units], () => answersTo(text, units), { keepPreviousData: true });
  // what the page behind offers: its steps, its checks, what can be done on it
  const [here] = useState((): readonly Place[] =>
    offersNow().map((o) => ({ to: o.to ?? o.id, says: o.says, group: 'here', words: `${o.group} ${o.words ?? ''}`, ...(o.act && { act: o.act }) })),
  );
  const places = useMemo(
    (): readonly Place[] => [
      ...here,
      ...(data?.summaries ?? []).flatMap((j): readonly Place[] =>
        stages.map((stage) => ({
          to: `/jobs/${j.id}/${stage}`,
          says: `${j.name}: ${stage}`,
          group: 'jobs',
          words: `${j.customer ?? ''} ${j.words}`,
        })),
      ),
      ...pages,
      ...(known?.calculators ?? []),
      ...(known?.words ?? []),
    ],
    [data, known, here],
  );
  const finding = useMemo(() => new Finding(places, (p) => `${p.says} ${p.words ?? ''}`), [places]);
  const [recent] = useState(lately);
  const found = useMemo(() => {
    const { lines } = finding.find(text);
    const rank = (p: Place) => (recent.includes(p.to) ? recent.indexOf(p.to) : LATELY);
    return lines.map((p) => (rank(p) < LATELY && p.group !== 'here' ? { ...p, group: 'lately' as const } : p)).toSorted((a, b) => rank(a) - rank(b));
  }, [finding, text, recent]);
  const own = known?.text === text ? known.place : undefined;
  const listed = (Object.keys(groups) as Group[]).map((group) => {
    const all = found.filter((p) => p.group === group && !(nothing && (group === 'handbook' || group === 'words' || group === 'here')));
    return { group, shown: all.slice(0, EACH), more: Math.max(0, all.length - EACH) };
  });
  const shown: readonly Place[] = [...(own ? [own] : []), ...listed.flatMap((l) => l.shown)];
  const [chosen, setChosen] = useState({ text, at: 0 });
  const at = chosen.text === text ? Math.min(chosen.at, Math.max(0, shown.length - 1)) : 0;
  const id = useId();
  const list = useRef<HTMLDivElement>(null);
  const go = (place: Place | undefined) => {
    if (!place) return;
    if (place.act) {
      close();
      place.act();
      return;
    }
    kept.set('lately', JSON.stringify([place.to, ...lately().filter((to) => to !== place.to)].slice(0, LATELY)));
    close();
    void navigate(place.to);
  };
  const walk = (e: KeyboardEvent) => {
    const step = e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0;
    if (step === 0 || shown.length === 0) return;
    e.preventDefault();
    const next = (at + step + shown.length) % shown.length;
    setChosen({ text, at: next });
    list.current?.querySelector(`[id="${id}-${String(next)}"]`)?.scrollIntoView({ block: 'nearest' });
  };
  const option = (place: Place) => {
    const n = shown.indexOf(place);
    const Icon = groups[place.group];
    return (
      <div key={place.to} id={`${id}-${String(n)}`} role="option" aria-selected={n === at} className="find-option" onClick={() => go(place)}>
        <Icon size={15} aria-hidden /> {place.says}
      </div>
    );
  };
  const results = nothing ? [] : (known?.results ?? []);
  return (
    <>
      <Form
        onSubmit={(e) => {
          e.preventDefault();
          go(shown[at]);
        }}>
        <Form.Control
          autoFocus
          value={text}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={walk}
          role="combobox"
          aria-label="Find a job, a place or a size"
          aria-expanded={shown.length > 0}
          aria-controls={id}
          aria-activedescendant={shown.length > 0 ? `${id}-${String(at)}` : undefined}
          autoComplete="off"
          placeholder="a job, a step, a check, something to do, 25 H7/g6, 1/4-20 clearance, H drill"
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
      <div className="find-list" id={id} role="listbox" aria-label="Places" ref={list}>
        {own && option(own)}
        {listed
          .filter((l) => l.shown.length > 0)
          .map(({ group, shown: some, more }) => (
            <div key={group} role="group" aria-label={group}>
              <div className="quiet size-14" aria-hidden="true">
                {group}
                {more > 0 && `, ${String(some.length)} of ${String(some.length + more)}`}
              </div>
              {some.map(option)}
            </div>
          ))}
      </div>
      {shown.length === 0 && results.length === 0 && <p className="quiet mt-2 mb-0">Nothing by these words.</p>}
    </>
  );
}
