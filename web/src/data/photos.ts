import type { Entry } from '@obra/core/document';
import { newId } from './ids';
import { read, write } from './store';

/* Photographs taken at the Bench: kept in this browser beside the entries that name them, and carried in files. */

/** The longer side of a kept photograph, px. */
const LONGEST = 1600;
/** A photograph as it is kept is far smaller than this, letters of its data URL. */
const TOO_LARGE = 4_000_000;
const QUALITY = 0.82;

/** A picture of a kind that browsers show, as a data URL. */
const isPicture = (data: unknown): data is string =>
  typeof data === 'string' && data.length <= TOO_LARGE && /^data:image\/(?:jpeg|png|webp);base64,[A-Za-z0-9+/]+=*$/.test(data);

/** Keeps a photograph, made smaller where it is large; or why not. */
export async function keepPhoto(file: File): Promise<{ readonly id: string } | { readonly refused: string }> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    return { refused: `${file.name} is no picture that this browser can read. Nothing was kept of it; a JPEG, PNG or WebP is.` };
  }
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const data = canvas.toDataURL('image/jpeg', QUALITY);
  if (!isPicture(data)) return { refused: `${file.name} could not be made small enough to keep. Nothing was kept of it.` };
  const id = newId();
  await write(`photo/${id}`, data);
  return { id };
}

/** A kept photograph as a data URL; undefined where this browser does not have it. */
export async function loadPhoto(id: string): Promise<string | undefined> {
  const data = await read(`photo/${id}`);
  return isPicture(data) ? data : undefined;
}

/** The photographs that a log names and this browser has. */
export async function photosOf(log: readonly Entry[]): Promise<Readonly<Record<string, string>>> {
  const ids = log.flatMap((e) => (e.kind === 'note' && e.photo !== undefined ? [e.photo] : []));
  const found = await Promise.all(ids.map(async (id) => [id, await loadPhoto(id)] as const));
  return Object.fromEntries(found.flatMap(([id, data]) => (data === undefined ? [] : [[id, data] as const])));
}

/** Takes in the photographs of a file; what is no picture stays out, and what is here already stands. */
export async function takePhotos(photos: Readonly<Record<string, unknown>> = {}): Promise<void> {
  for (const [id, data] of Object.entries(photos)) if (isPicture(data) && (await loadPhoto(id)) === undefined) await write(`photo/${id}`, data);
}
