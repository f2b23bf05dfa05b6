import type { View } from './stage';

/** Degrees of one press of an arrow. */
const PRESS = 15;

/** Turns a solid by what is done on its canvas: dragging, the wheel, arrows, plus and minus; Home puts it back as it was first. @param draw it is looked at anew @returns takes the listeners off again */
export function turning(canvas: HTMLCanvasElement, view: View, draw: () => void): () => void {
  const home = { ...view };
  const turn = (by: number, tip: number) => {
    view.turn += by;
    view.tip = Math.min(90, Math.max(-90, view.tip + tip));
    draw();
  };
  const zoom = (by: number) => {
    view.zoom = Math.min(12, Math.max(0.5, view.zoom * by));
    draw();
  };
  const keys: Readonly<Record<string, () => void>> = {
    ArrowLeft: () => turn(-PRESS, 0),
    ArrowRight: () => turn(PRESS, 0),
    ArrowUp: () => turn(0, PRESS),
    ArrowDown: () => turn(0, -PRESS),
    '+': () => zoom(1.25),
    '-': () => zoom(0.8),
    Home: () => {
      Object.assign(view, home);
      draw();
    },
  };
  const ends = new AbortController();
  const { signal } = ends;
  let held: readonly [x: number, y: number] | undefined;
  canvas.addEventListener(
    'keydown',
    (e) => {
      const act = keys[e.key];
      if (!act || e.ctrlKey || e.metaKey || e.altKey) return;
      e.preventDefault();
      act();
    },
    { signal },
  );
  canvas.addEventListener(
    'pointerdown',
    (e) => {
      canvas.setPointerCapture(e.pointerId);
      held = [e.clientX, e.clientY];
    },
    { signal },
  );
  canvas.addEventListener(
    'pointermove',
    (e) => {
      if (!held) return;
      turn((e.clientX - held[0]) * 0.5, (e.clientY - held[1]) * 0.5);
      held = [e.clientX, e.clientY];
    },
    { signal },
  );
  for (const gone of ['pointerup', 'pointercancel'] as const) canvas.addEventListener(gone, () => (held = undefined), { signal });
  canvas.addEventListener('wheel', (e) => zoom(e.deltaY < 0 ? 1.1 : 1 / 1.1), { signal, passive: true });
  return () => ends.abort();
}
