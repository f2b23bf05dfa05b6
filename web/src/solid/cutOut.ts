import { bodyBetween, type Cutter, cuttersOf, type Part, type Triangle, trianglesOf } from '@obra/core/drawing';
import { BufferAttribute, BufferGeometry, type Material, MeshBasicMaterial } from 'three';
import { Brush, Evaluator, SUBTRACTION } from 'three-bvh-csg';
import { sharpEdges } from './edges';

/** How much of the part is taken away to look into it. */
export type Section = 'whole' | 'quarter' | 'half';

/** What a triangle of the solid is the skin of. */
export type Skin = 'metal' | 'section';

/** A solid as it is drawn and written: corners one after the other, nine numbers a triangle, mm; where the section begins. */
export interface Cut {
  readonly corners: Float32Array<ArrayBuffer>;
  /** corners before this one are metal, those from it on lie in the section */
  readonly metal: number;
  /** its sharp edges, six numbers each */
  readonly edges: Float32Array<ArrayBuffer>;
}

/** Strips of the turned solid, and how far chords may lie off its arcs, mm. */
const [STRIPS, WITHIN] = [128, 0.01];
/** How far a section lies off the axis, in diameters. */
const BESIDE = 2e-4;

const bare = (skin: Skin): Material => Object.assign(new MeshBasicMaterial(), { name: skin });

/** Corners as the library takes them: single figures, in a body about as large as one, where its tolerances hold. */
const cornersOf = (triangles: readonly Triangle[], unit: number) => new Float32Array(triangles.flat(2).map((v) => v / unit));

/** Length of the part or its diameter, whichever is more, mm. */
const unitOf = (part: Part): number => Math.max(part.length, 2 * Math.max(...part.contour.map((v) => v.r)));

function brushOf(triangles: readonly Triangle[], unit: number, material: Material): Brush {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(cornersOf(triangles, unit), 3));
  const brush = new Brush(geometry, material);
  brush.updateMatrixWorld();
  return brush;
}

/** The turned solid alone, nothing cut out of it and no edges, of fewer strips: seen at once. */
export function turnedSolid(part: Part): Cut {
  const corners = new Float32Array(trianglesOf(part.contour, STRIPS / 2, 4 * WITHIN).flat(2));
  return { corners, metal: corners.length / 3, edges: new Float32Array() };
}

/** The part with its flats, keyways and holes really cut, and the section that is asked for taken away. */
export function cutOut(part: Part, section: Section): Cut {
  const [metal, face] = [bare('metal'), bare('section')];
  const evaluator = new Evaluator();
  evaluator.attributes = ['position'];
  const unit = unitOf(part);
  let solid = brushOf(trianglesOf(part.contour, STRIPS, WITHIN), unit, metal);
  const take = (triangles: readonly Triangle[], skin: Material) => {
    solid = evaluator.evaluate(solid, brushOf(triangles, unit, skin), SUBTRACTION);
  };
  for (const cutter of cuttersOf(part)) take(cutter.triangles, metal);
  const away = awayFor(part, section);
  if (away) take(away.triangles, face);
  const { corners, metal: before } = sorted(solid, face);
  return large(corners, before, unit);
}

/** In millimetres, with its edges. */
function large(corners: Float32Array<ArrayBuffer>, metal: number, unit: number): Cut {
  const edges = sharpEdges(corners);
  return { corners: corners.map((v) => v * unit), metal, edges: edges.map((v) => v * unit) };
}

/** What a section takes away: towards the viewer and to the front of the lathe. */
function awayFor(part: Part, section: Section): Cutter | undefined {
  if (section === 'whole') return undefined;
  const out = 2 * Math.max(...part.contour.map((v) => v.r)) + 1;
  // beside the corners of the strips, which lie in the planes of the axis themselves
  const off = out * BESIDE;
  const [back, low] = [section === 'half' ? out : off, off];
  const face = (x: number) => [[x, -out, low] as const, [x, back, low] as const, [x, back, out] as const, [x, -out, out] as const];
  return { of: 'section', triangles: bodyBetween(face(-part.length - 1), face(1)) };
}

/** The triangles of a brush, metal first. */
function sorted(solid: Brush, face: Material): Pick<Cut, 'corners' | 'metal'> {
  const { geometry } = solid;
  const position = geometry.getAttribute('position');
  const { index } = geometry;
  const at = (i: number) => (index ? index.getX(i) : i);
  const materials: readonly Material[] = Array.isArray(solid.material) ? solid.material : [solid.material];
  const count = geometry.drawRange.count === Infinity ? (index ? index.count : position.count) : geometry.drawRange.count;
  const groups = geometry.groups.length > 0 ? geometry.groups : [{ start: 0, count, materialIndex: 0 }];
  const isFace = (g: { readonly materialIndex?: number | undefined }) => materials[g.materialIndex ?? 0] === face;
  const order = [...groups.filter((g) => !isFace(g)), ...groups.filter(isFace)];
  const corners = new Float32Array(order.reduce((n, g) => n + g.count, 0) * 3);
  let to = 0;
  for (const g of order)
    for (let i = g.start; i < g.start + g.count; i++) {
      const k = at(i);
      corners.set([position.getX(k), position.getY(k), position.getZ(k)], to);
      to += 3;
    }
  return { corners, metal: groups.filter((g) => !isFace(g)).reduce((n, g) => n + g.count, 0) };
}
