import { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, TextHorizontalAlignment, Units as DxfUnits } from '@tarikjabiri/dxf';
import { detailWords, flattened, type Part } from '../drawing';

/** What a row is labelled with: its size and length as typed. */
export type Labels = Readonly<Record<string, { readonly size: string; readonly length: string }>>;

export interface DxfFile {
  readonly text: string;
  /** what a DXF of lines cannot carry, in words */
  readonly leftOut: readonly string[];
}

const LAYERS = [
  ['OUTLINE', Colors.White, 'Continuous'],
  ['MIRROR', Colors.White, 'Continuous'],
  ['CENTRE', Colors.Red, 'CENTRE'],
  ['HATCH', Colors.Cyan, 'Continuous'],
  ['DIMENSIONS', Colors.Green, 'Continuous'],
] as const;

/**
 * The drawing as DXF, millimetres, the finished right face at x = 0 and the centre line on the x axis: the half section as one closed polyline on OUTLINE, its mirror on
 * MIRROR, centre line, hatching of the lower half, sizes as text on DIMENSIONS. Threads are drawn at their crests.
 * @example Object.keys(writeDxf(readDrawing({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }.drawing))).length > 0 // true
 */
export function writeDxf(part: Part, labels: Labels = {}): DxfFile {
  const dxf = new DxfWriter();
  dxf.setUnits(DxfUnits.Millimeters);
  dxf.addLType('CENTRE', 'centre line ____ _ ____ _', [12, -3, 2, -3]);
  for (const [name, colour, line] of LAYERS) dxf.addLayer(name, colour, line);
  const half = (sign: 1 | -1) => part.contour.map((v) => ({ point: point2d(v.z, sign * v.r), ...(v.bulge !== 0 && { bulge: sign * v.bulge }) }));
  if (part.contour.length > 0) {
    dxf.addLWPolyline(half(1), { layerName: 'OUTLINE', flags: LWPolylineFlags.Closed });
    dxf.addLWPolyline(half(-1), { layerName: 'MIRROR', flags: LWPolylineFlags.Closed });
    for (const [a, b] of hatching(part)) dxf.addLine(point3d(...a, 0), point3d(...b, 0), { layerName: 'HATCH' });
  }
  const beyond = Math.max(3, part.length * 0.05);
  dxf.addLine(point3d(-part.length - beyond, 0, 0), point3d(beyond, 0, 0), { layerName: 'CENTRE' });
  dimensions(dxf, part, labels);
  const threads = part.features.filter((f) => f.thread !== undefined);
  const inContour = ['groove', 'ringGroove', 'faceGroove', 'centre', 'countersink'];
  const noted = part.details.filter((d) => !inContour.includes(d.kind));
  return {
    text: dxf.stringify(),
    leftOut: [
      'tolerances, finishes and notes other than as text',
      ...(threads.length > 0 ? [`the threads themselves (${threads.map((f) => f.thread ?? '').join(', ')}): drawn at their crests`] : []),
      ...(noted.length > 0 ? [`what is cut beside the lathe, and knurls (${noted.map((d) => detailWords[d.kind]).join(', ')})`] : []),
    ],
  };
}

function dimensions(dxf: DxfWriter, part: Part, labels: Labels): void {
  const layerName = 'DIMENSIONS';
  const outside = part.features.filter((f) => f.side === 'outside');
  const most = Math.max(0, ...outside.map((f) => f.nearDiameter.nominal / 2));
  const tall = Math.max(1.5, most * 0.12);
  const [above, below] = [most + 3 * tall, -most - 3 * tall];
  for (const f of outside) {
    const middle = (f.near + f.far) / 2;
    const centred = { layerName, horizontalAlignment: TextHorizontalAlignment.Center, secondAlignmentPoint: point3d(middle, above, 0) };
    dxf.addLine(point3d(middle, f.nearDiameter.nominal / 2, 0), point3d(middle, above - 0.6 * tall, 0), { layerName });
    dxf.addText(
      point3d(middle, above, 0),
      tall,
      `${f.form === 'thread' ? '' : '%%c'}${labels[f.id]?.size ?? String(f.nearDiameter.nominal)}`,
      centred,
    );
    dxf.addLine(point3d(f.near, below, 0), point3d(f.far, below, 0), { layerName });
    for (const z of [f.near, f.far]) dxf.addLine(point3d(z, -f.nearDiameter.nominal / 2 - 1, 0), point3d(z, below - tall, 0), { layerName });
    dxf.addText(point3d(middle, below + 0.4 * tall, 0), tall, labels[f.id]?.length ?? String(f.near - f.far), {
      layerName,
      horizontalAlignment: TextHorizontalAlignment.Center,
      secondAlignmentPoint: point3d(middle, below + 0.4 * tall, 0),
    });
  }
}

/** Lines of 45 degrees over the lower half of the section. */
function hatching(part: Part): readonly (readonly [readonly [number, number], readonly [number, number]])[] {
  const points = flattened(part.contour, 0.01).map((v) => [v.z, -v.r] as const);
  const gap = Math.max(1, part.length / 60);
  // a line z - y = c meets an edge where c lies between the values at its ends
  const values = points.map(([z, y]) => z - y);
  const lines: (readonly [readonly [number, number], readonly [number, number]])[] = [];
  for (let c = Math.min(...values) + gap / 2; c < Math.max(...values); c += gap) {
    const met = points
      .flatMap(([z, y], i) => {
        const [z2, y2] = points[(i + 1) % points.length] ?? [z, y];
        const [a, b] = [z - y - c, z2 - y2 - c];
        if (a <= 0 === b <= 0) return [];
        const t = a / (a - b);
        return [[z + t * (z2 - z), y + t * (y2 - y)] as const];
      })
      .toSorted((p, q) => p[0] - q[0]);
    for (let i = 0; i + 1 < met.length; i += 2) {
      const [a, b] = [met[i], met[i + 1]];
      if (a && b) lines.push([a, b]);
    }
  }
  return lines;
}
