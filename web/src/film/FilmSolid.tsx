import type { Film } from '@obra/core/proof';
import { type RefObject, useEffect } from 'react';
import { SolidFilm, type View, stageOn, turning } from '../solid';
import type { Moment } from './moments';

/** From the front and a little above and from the free end: the work lies long. */
const FROM: View = { turn: 11, tip: 22, zoom: 1.1 };

interface Props {
  readonly film: Film;
  readonly canvas: RefObject<HTMLCanvasElement | null>;
  /** takes what paints a moment; nothing when it is gone */
  readonly onPainter: (paint: ((moment: Moment) => void) | undefined) => void;
}

/** The film as a solid: turned by dragging or the arrows while it plays. */
export function FilmSolid({ film, canvas, onPainter }: Props) {
  useEffect(() => {
    const element = canvas.current;
    if (!element) return undefined;
    const { stage } = stageOn(element);
    const solid = new SolidFilm(film, stage);
    const view: View = { ...FROM };
    let last: Moment | undefined;
    const paint = (moment: Moment) => {
      last = moment;
      solid.paint(moment, view);
    };
    const again = () => last && paint(last);
    const observer = new ResizeObserver(() => {
      stage.size(Math.max(element.clientWidth, 1), Math.max(element.clientHeight, 1));
      again();
    });
    observer.observe(element);
    const still = turning(element, view, again);
    onPainter(paint);
    return () => {
      still();
      observer.disconnect();
      onPainter(undefined);
      stage.end();
    };
  }, [film, canvas, onPainter]);
  return (
    <canvas
      ref={canvas}
      tabIndex={0}
      role="img"
      aria-label="The making as a solid, a quarter of the work open. Arrows turn it, plus and minus bring it nearer, Home puts it back."
    />
  );
}
