import { type RefObject, useEffect, useRef } from 'react';
import { useKeys } from '../shell/keys';

/** Wheel, pinch and double press zoom, drag pans, 0 fits: one transform on a group, without a React commit. Loaded when a hand comes near. */
export function usePanZoom(box: RefObject<HTMLDivElement | null>): RefObject<SVGGElement | null> {
  const group = useRef<SVGGElement>(null);
  const fit = useRef<() => void>(undefined);
  useKeys('picture', { '0': { says: 'fit the picture', act: () => fit.current?.() } });
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    let here = true;
    let off: (() => void) | undefined;
    let asked: Promise<void> | undefined;
    const load = () =>
      (asked ??= import('./zoom').then(({ zoomOn }) => {
        if (!here) return;
        const on = zoomOn(element, (to) => {
          if (to.k === 1) group.current?.removeAttribute('transform');
          else group.current?.setAttribute('transform', String(to));
        });
        fit.current = on.fit;
        off = on.off;
        element.removeEventListener('wheel', early);
      }));
    // a wheel that turned before it was there is turned again
    const early = (e: WheelEvent) => {
      e.preventDefault();
      void load().then(() => element.dispatchEvent(new WheelEvent(e.type, e)));
    };
    const near = () => void load();
    element.addEventListener('pointerenter', near, { once: true });
    element.addEventListener('wheel', early, { passive: false });
    if (window.matchMedia('(pointer: coarse)').matches) void load();
    return () => {
      here = false;
      off?.();
      element.removeEventListener('pointerenter', near);
      element.removeEventListener('wheel', early);
    };
  }, [box]);
  return group;
}
