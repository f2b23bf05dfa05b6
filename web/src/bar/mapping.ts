/** A plain stretch that may be shortened by break lines, in view coordinates (mm, growing to the right). */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly diameter: number;
}

export interface View {
  readonly from: number;
  readonly to: number;
  readonly maxRadius: number;
  readonly stretches: readonly Stretch[];
  readonly width: number;
  readonly height: number;
  /** room kept free of metal, px */
  readonly top: number;
  readonly bottom: number;
  readonly side: number;
}

export interface Mapping {
  /** px a mm; one scale for both directions */
  readonly scale: number;
  readonly axis: number;
  readonly x: (u: number) => number;
  readonly y: (r: number) => number;
  /** where metal is left out: the cut ends in view coordinates */
  readonly breaks: readonly { readonly from: number; readonly to: number; readonly diameter: number }[];
}

/** Break lines are used when the fitted picture would be lower than this share of the height. */
const LOW = 0.6;
const KEEP = 70;

/** Fits a bar into a picture without stretching it: one scale, plain lengths shortened when it is slender. */
export function mapping(view: View): Mapping {
  const tall = Math.max(view.height - view.top - view.bottom, view.height / 4, 1);
  // a page narrower than its margins keeps half of its width for the bar
  const wide = Math.max(view.width - 2 * view.side, view.width / 2, 1);
  const total = Math.max(view.to - view.from, 1e-6);
  const byHeight = tall / (2 * Math.max(view.maxRadius, 1e-6));
  const byWidth = wide / total;
  let scale = Math.min(byHeight, byWidth);
  if (byWidth < LOW * byHeight) {
    for (let tried = LOW * byHeight; tried > byWidth; tried *= 0.95) {
      if (total * tried - spare(view, tried) <= wide) {
        scale = tried;
        break;
      }
    }
  }
  const over = total * scale - wide;
  const room = spare(view, scale);
  const breaks =
    over <= 0.5 || room <= 0
      ? []
      : view.stretches.flatMap((s) => {
          const out = (reducible(s, scale) * (over / room)) / scale;
          const middle = (s.from + s.to) / 2;
          return out * scale < 4 ? [] : [{ from: middle - out / 2, to: middle + out / 2, diameter: s.diameter }];
        });
  const shown = total - breaks.reduce((sum, b) => sum + b.to - b.from, 0);
  const left = (view.width - shown * scale) / 2;
  const axis = view.top + tall / 2;
  return {
    scale,
    axis,
    breaks,
    x: (u) => left + scale * (u - view.from - breaks.reduce((sum, b) => sum + Math.min(Math.max(u - b.from, 0), b.to - b.from), 0)),
    y: (r) => axis - scale * r,
  };
}

const reducible = (s: Stretch, scale: number) => Math.max(0, (s.to - s.from) * scale - Math.max(KEEP, 0.8 * s.diameter * scale));
const spare = (view: View, scale: number) => view.stretches.reduce((sum, s) => sum + reducible(s, scale), 0);
