import { lessonSaid, sameLesson } from '@obra/core/bench';
import type { Lesson, Shop } from '@obra/core/document';
import { type Units, writeSentence } from '@obra/core/quantity';
import { Button } from 'react-bootstrap';
import { newId } from '../../data/ids';
import { saveShop } from '../../data/shopStore';
import { tell } from '../../shell/says';
import { keepIt } from '../../words/pressed';

interface Props {
  readonly shop: Shop;
  readonly units: Units;
  readonly proposed: readonly Lesson[];
  readonly onKept: () => void;
  readonly onRefused: () => void;
}

/** What is said of a lesson, and where it works. */
const WORKS: Readonly<Record<Lesson['of'], string>> = {
  spring: 'named in the route and at the dial',
  held: 'named in the route, of a holding in Holding',
  chips: 'named in the cutting data',
  minutes: 'counted in the minutes of the route',
  chatter: 'named at the next cut with that tool',
};

/** What the readings show of lathe and tools: proposed; kept or refused by a person; what is kept may be forgotten. Each with its way back. */
export function Lessons({ shop, units, proposed, onKept, onRefused }: Props) {
  const kept = shop.lessons.filter((l) => l.accepted);
  const refused = shop.lessons.filter((l) => !l.accepted);
  const known = [...kept, ...refused];
  const open = proposed.filter((p) => !known.some((k) => sameLesson(k, p) && k.count >= p.count));
  if (known.length === 0 && open.length === 0) return null;
  const said = (l: Lesson) => writeSentence(lessonSaid(l, shop), units);
  const change = async (words: string, lessons: (before: readonly Lesson[]) => readonly Lesson[]) => {
    const before = shop.lessons;
    try {
      await saveShop((now) => ({ ...now, lessons: [...lessons(now.lessons)] }));
      onKept();
      tell(words, () => void saveShop((now) => ({ ...now, lessons: [...before] })).then(onKept, onRefused));
    } catch {
      onRefused();
    }
  };
  const decide = (l: Lesson, accepted: boolean) =>
    change(`${said(l)}: ${accepted ? `kept, ${WORKS[l.of]}` : 'refused'}.`, (before) => [
      ...before.filter((b) => !sameLesson(b, l)),
      { ...l, id: newId(), accepted },
    ]);
  const forget = (l: Lesson) => change(`${said(l)}: forgotten.`, (before) => before.filter((b) => b.id !== l.id));
  const sure = (l: Lesson) =>
    l.of === 'chips' || l.of === 'chatter'
      ? `told ${l.count === 1 ? 'once' : `${String(l.count)} times`}`
      : `from ${String(l.count)} ${l.of === 'minutes' ? 'step' : 'size'}${l.count === 1 ? '' : 's'}`;
  return (
    <section className="mt-4" aria-label="What was learned">
      <h2>What was learned</h2>
      <p className="quiet">
        From cuts and readings. What you keep goes into the next plan and advice, which say so; a job already given out keeps what it was given.
      </p>
      <ul className="list-unstyled d-grid gap-2">
        {open.map((l) => (
          <li key={l.id} className="d-flex gap-3 align-items-center flex-wrap">
            <span>
              {said(l)} <span className="quiet">{sure(l)}</span>
            </span>
            <Button size="sm" variant="outline-dark" onClick={() => void decide(l, true)}>
              {keepIt}
            </Button>
            <Button size="sm" variant="link" onClick={() => void decide(l, false)}>
              refuse it
            </Button>
          </li>
        ))}
        {kept.map((l) => (
          <li key={`kept ${l.id}`} className="d-flex gap-3 align-items-center flex-wrap">
            <span>
              ✓ {said(l)} <span className="quiet">{`${sure(l)}, ${WORKS[l.of]}`}</span>
            </span>
            <Button size="sm" variant="link" onClick={() => void forget(l)}>
              forget it
            </Button>
          </li>
        ))}
      </ul>
      {refused.length > 0 && (
        <details>
          <summary>Refused ({refused.length})</summary>
          <ul className="list-unstyled d-grid gap-2 mt-2">
            {refused.map((l) => (
              <li key={`refused ${l.id}`} className="d-flex gap-3 align-items-center flex-wrap">
                <span className="quiet">{said(l)}</span>
                <Button size="sm" variant="link" onClick={() => void decide(l, true)}>
                  keep it after all
                </Button>
                <Button size="sm" variant="link" onClick={() => void forget(l)}>
                  forget it
                </Button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
