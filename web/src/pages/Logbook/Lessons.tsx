import { lessonSaid, sameLesson } from '@obra/core/bench';
import type { Lesson, Shop } from '@obra/core/document';
import { type Units, writeSentence } from '@obra/core/quantity';
import { Button } from 'react-bootstrap';
import { newId } from '../../data/ids';
import { saveShop } from '../../data/shopStore';

interface Props {
  readonly shop: Shop;
  readonly units: Units;
  readonly proposed: readonly Lesson[];
  readonly onKept: () => void;
  readonly onRefused: () => void;
}

/** What the readings show of lathe and tools: proposed, kept by a person, then a reason of later advice. */
export function Lessons({ shop, units, proposed, onKept, onRefused }: Props) {
  const kept = shop.lessons.filter((l) => l.accepted);
  const open = proposed.filter((p) => !kept.some((k) => sameLesson(k, p) && k.count >= p.count));
  if (kept.length === 0 && open.length === 0) return null;
  const change = async (lessons: (before: readonly Lesson[]) => Lesson[]) => {
    try {
      await saveShop((now) => ({ ...now, lessons: lessons(now.lessons) }));
      onKept();
    } catch {
      onRefused();
    }
  };
  const sure = (l: Lesson) =>
    l.of === 'chips' ? `told ${l.count === 1 ? 'once' : `${String(l.count)} times`}` : `from ${String(l.count)} ${l.count === 1 ? 'size' : 'sizes'}`;
  return (
    <section className="mt-4" aria-label="What was learned">
      <h2>What was learned</h2>
      <p className="quiet">
        From cuts and readings. What you keep goes into the next advice, which says so; a job already given out keeps what it was given.
      </p>
      <ul className="list-unstyled d-grid gap-2">
        {open.map((l) => (
          <li key={l.id} className="d-flex gap-3 align-items-center flex-wrap">
            <span>
              {writeSentence(lessonSaid(l, shop), units)} <span className="quiet">{sure(l)}</span>
            </span>
            <Button
              size="sm"
              variant="outline-dark"
              onClick={() => void change((before) => [...before.filter((b) => !sameLesson(b, l)), { ...l, id: newId(), accepted: true }])}>
              keep it
            </Button>
          </li>
        ))}
        {kept.map((l) => (
          <li key={`kept ${l.id}`} className="d-flex gap-3 align-items-center flex-wrap">
            <span>
              ✓ {writeSentence(lessonSaid(l, shop), units)} <span className="quiet">{sure(l)}, kept</span>
            </span>
            <Button size="sm" variant="link" onClick={() => void change((before) => before.filter((b) => b.id !== l.id))}>
              let it go
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
