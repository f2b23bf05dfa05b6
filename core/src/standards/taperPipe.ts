import { MM_PER_INCH, tidy } from '../quantity';
import { gaugeLengths, nptSizes } from './taperPipe.table';
import { pipeSizes } from './whitworth.table';

/** A taper pipe thread as what is turned for it: a cone of 1 in 16. Lengths in mm. */
export interface TaperPipe {
  readonly name: string;
  readonly inside: boolean;
  /** diameter over length */
  readonly slope: number;
  readonly pitch: number;
  /** over the crests at the small end of an outside thread; across the crests in the mouth of an inside one */
  readonly diameter: number;
  /** in the gauge plane: how far from that end, and the pitch diameter there */
  readonly gauge: { readonly from: number; readonly pitchDiameter: number };
}

const SLOPE = 1 / 16;

/**
 * Reads 'R 1/2', 'Rc 3/4', 'NPT 1/4', '1/4-18 NPT'. Undefined when the text is none of these, or of a size that is not in the table.
 * @param where NPT is the same name outside and inside
 * @source ISO 7-1: diameters of ISO 228-1 in the gauge plane, h = 0.640327 P; ASME B1.20.1: E0 = D - (0.05 D + 1.1) p, h = 0.8 p; from memory
 */
export function taperPipe(text: string, where: 'outside' | 'inside'): TaperPipe | undefined {
  const iso = /^(Rc|R)\s*(\d+(?:[ -]\d+\/\d+)?|\d+\/\d+)$/i.exec(text.trim());
  if (iso?.[1] !== undefined) return isoPipe((iso[2] ?? '').replace('-', ' '), /c$/i.test(iso[1]));
  const size = /^(?:NPT\s*(\d+(?:[ -]\d+\/\d+)?|\d+\/\d+)(?:\s*-\s*[\d.]+)?|(\d+(?:[ -]\d+\/\d+)?|\d+\/\d+)(?:\s*-\s*[\d.]+)?\s*NPT)$/i.exec(
    text.trim(),
  );
  return size ? npt((size[1] ?? size[2] ?? '').replace(/^(\d+)-(\d+\/)/, '$1 $2'), where === 'inside') : undefined;
}

function isoPipe(size: string, inside: boolean): TaperPipe | undefined {
  const row = pipeSizes.find(([name]) => name === size);
  const gauge = gaugeLengths.find(([name]) => name === size)?.[1];
  if (!row || gauge === undefined) return undefined;
  const pitch = MM_PER_INCH / row[1];
  // the standard rounds the height to a micrometre before it takes it off
  const height = Math.round(640.327 * pitch) / 1000;
  const major = row[2];
  return {
    name: `${inside ? 'Rc' : 'R'} ${size}`,
    inside,
    slope: SLOPE,
    pitch: tidy(pitch),
    // the gauge plane of an inside thread is its mouth
    diameter: tidy(inside ? major - 2 * height : major - gauge * SLOPE),
    gauge: { from: inside ? 0 : gauge, pitchDiameter: tidy(major - height) },
  };
}

function npt(size: string, inside: boolean): TaperPipe | undefined {
  const row = nptSizes.find(([name]) => name === size);
  if (!row) return undefined;
  const [, tpi, pipe, engaged] = row;
  const pitch = 1 / tpi;
  const small = pipe - (0.05 * pipe + 1.1) * pitch;
  const mouth = small + engaged * SLOPE;
  const mm = (inches: number) => tidy(inches * MM_PER_INCH);
  return {
    name: `NPT ${size}`,
    inside,
    slope: SLOPE,
    pitch: mm(pitch),
    diameter: mm(inside ? mouth - 0.8 * pitch : small + 0.8 * pitch),
    gauge: { from: inside ? 0 : mm(engaged), pitchDiameter: mm(mouth) },
  };
}
