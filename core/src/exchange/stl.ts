import type { Corner, Triangle } from '../drawing';

/**
 * Triangles as an ASCII STL file, millimetres, axis along x, the finished face of end A at zero.
 * @example writeStl('pin', trianglesOf(readDrawing({ ...blankDrawing(), ...readLine('20 x 30', 'mm').value }).contour, 8)).startsWith('solid pin') // true
 */
export function writeStl(name: string, triangles: readonly Triangle[]): string {
  const title = name.replace(/[^\x20-\x7e]/g, '').trim() || 'part';
  const digits = (v: number) => Number(v.toFixed(6)).toString();
  const facets = triangles.map(([a, b, c]) => {
    const [ux, uy, uz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
    const [vx, vy, vz] = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
    const n = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const long = Math.hypot(...n) || 1;
    const corner = (p: Corner) => `   vertex ${p.map(digits).join(' ')}`;
    return [
      ` facet normal ${n.map((v) => digits(v / long)).join(' ')}`,
      '  outer loop',
      corner(a),
      corner(b),
      corner(c),
      '  endloop',
      ' endfacet',
    ].join('\n');
  });
  return `solid ${title}\n${facets.join('\n')}\nendsolid ${title}\n`;
}
