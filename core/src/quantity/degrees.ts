import { say } from './figure';
import type { Parsed } from './length';

/** An angle in degrees: '5.71', '5,71°', '5 43', "5°43'"; 0 to 180. */
export function parseDegrees(text: string): Parsed<number> {
  const t = text.trim();
  const m = /^(\d*[.,]?\d+)\s*(?:°|deg\.?)?(?:\s*(\d{1,2}(?:[.,]\d+)?)\s*['′]?)?$/i.exec(t);
  const [degrees, minutes] = [Number(m?.[1]?.replace(',', '.')), Number(m?.[2]?.replace(',', '.') ?? 0)];
  const value = degrees + minutes / 60;
  if (!m || !(value >= 0 && value <= 180) || minutes >= 60)
    return { ok: false, problems: [{ at: t, says: say`“${t}” is not an angle; write 5.71 or 5°43'` }] };
  return { ok: true, value };
}
