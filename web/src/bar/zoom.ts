import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomTransform } from 'd3-zoom';

/** As large as that a millimetre of a slender shaft is seen; below its own size a picture is not drawn. */
const MOST = 12;

/** Wheel, pinch, double press and drag on a picture; it never leaves its frame. */
export function zoomOn(element: HTMLElement, apply: (to: ZoomTransform) => void) {
  const { clientWidth, clientHeight } = element;
  const behaviour = zoom<HTMLElement, unknown>()
    .scaleExtent([1, MOST])
    .translateExtent([
      [0, 0],
      [clientWidth, clientHeight],
    ])
    // its edge is drawn to make it taller
    .filter(
      (e: MouseEvent) => (!e.ctrlKey || e.type === 'wheel') && e.button === 0 && !(e.target instanceof Element && e.target.closest('.bar-edge')),
    )
    .on('zoom', ({ transform }: { readonly transform: ZoomTransform }) => apply(transform));
  const on = select(element).call(behaviour);
  return { fit: () => behaviour.transform(on, zoomIdentity), off: () => on.on('.zoom', null) };
}
