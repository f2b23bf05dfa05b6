import { type RefObject, useEffect, useRef } from 'react';
import { useKeys } from '../shell/keys';

/** Wheel and pinch zoom, drag pans, 0 fits: one transform on a group, set by refs without a React commit. */
export function usePanZoom(box: RefObject<HTMLDivElement | null>): RefObject<SVGGElement | null> {
  const group = useRef<SVGGElement>(null);
  const fit = useRef<() => void>(undefined);
  useKeys('picture', { '0': { says: 'fit the picture', act: () => fit.current?.() } });
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    let [k, tx, ty] = [1, 0, 0];
    const pointers = new Map<number, { x: number; y: number }>();
    const apply = () => {
      if (k <= 1.001) [k, tx, ty] = [1, 0, 0];
      if (k === 1) group.current?.removeAttribute('transform');
      else group.current?.setAttribute('transform', `translate(${tx} ${ty}) scale(${k})`);
    };
    const zoom = (x: number, y: number, by: number) => {
      const next = Math.min(12, Math.max(1, k * by));
      tx = x - ((x - tx) * next) / k;
      ty = y - ((y - ty) * next) / k;
      k = next;
      apply();
    };
    const local = (e: PointerEvent | WheelEvent) => {
      const r = element.getBoundingClientRect();
      return { x: e.clientX - r.left, y: e.clientY - r.top };
    };
    const wheel = (e: WheelEvent) => {
      e.preventDefault();
      const at = local(e);
      zoom(at.x, at.y, Math.exp(-e.deltaY / 400));
    };
    const down = (e: PointerEvent) => pointers.set(e.pointerId, local(e));
    const move = (e: PointerEvent) => {
      const before = pointers.get(e.pointerId);
      if (!before) return;
      const now = local(e);
      const other = [...pointers].find(([id]) => id !== e.pointerId)?.[1];
      if (other)
        zoom(
          (now.x + other.x) / 2,
          (now.y + other.y) / 2,
          Math.hypot(now.x - other.x, now.y - other.y) / Math.max(1, Math.hypot(before.x - other.x, before.y - other.y)),
        );
      else if (k > 1) {
        tx += now.x - before.x;
        ty += now.y - before.y;
        apply();
      }
      pointers.set(e.pointerId, now);
    };
    const up = (e: PointerEvent) => pointers.delete(e.pointerId);
    fit.current = () => {
      k = 1;
      apply();
    };
    element.addEventListener('wheel', wheel, { passive: false });
    element.addEventListener('pointerdown', down);
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', up);
    return () => {
      element.removeEventListener('wheel', wheel);
      element.removeEventListener('pointerdown', down);
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', up);
    };
  }, [box]);
  return group;
}
