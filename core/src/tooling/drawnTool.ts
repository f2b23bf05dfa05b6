import type { Machine, Tool } from '../document';
import { angle, diameter, length, parseDegrees, say, type Sentence } from '../quantity';
import { mmOf, practice, sizeOf } from '../shop';
import { readExternalThread, readInternalThread } from '../standards';
import type { Convex } from '../stock';
import { isCountersink } from './edges';
import { alongHole, entersFrom, outlineOf, outOfHolder, shankOf } from './outline';

/** A tool as it is understood: outlines for a picture, and what they stand for in words. */
export interface DrawnTool {
  readonly shapes: readonly { readonly is: 'edge' | 'holder' | 'post' | 'hole'; readonly outline: Convex }[];
  readonly says: readonly Sentence[];
}

const usual = (typed: unknown): string => (typed === undefined ? ', taken as usual' : '');
const degreesOf = (tool: Tool): number | undefined => {
  const read = parseDegrees(tool.angle?.text ?? '');
  return read.ok && read.value > 0 ? read.value : undefined;
};

/** The picture of a tool in the plane of the lathe, (x, r) in mm, headstock to the left; nothing for what has no size or no outline: a saw, a file. */
export function drawnTool(tool: Tool, machine?: Pick<Machine, 'post'>): DrawnTool {
  if (inTailstock.has(tool.kind) || isCountersink(tool)) return onAxis(tool);
  if (tool.kind === 'saw' || tool.kind === 'file') return { shapes: [], says: [say`by hand, in no holder`] };
  const bar = tool.kind === 'bore' || shankOf(tool) > 0;
  if (bar && !(shankOf(tool) > 0)) return { shapes: [], says: [say`without its shank nobody knows which hole it goes into`] };
  const { tool: edge, holder, carriage } = outlineOf(tool, bar ? 'inside' : 'outside', machine);
  const hole: Convex = [
    [-6, 0],
    [alongHole(tool) === Infinity ? 6 * shankOf(tool) : alongHole(tool), 0],
  ];
  return {
    shapes: [
      { is: 'post', outline: carriage },
      { is: 'holder', outline: holder },
      { is: 'edge', outline: edge },
      ...(bar
        ? [
            { is: 'hole' as const, outline: hole },
            { is: 'hole' as const, outline: hole.map(([x]) => [x, -entersFrom(tool)] as const) },
          ]
        : []),
    ],
    says: bar ? barSays(tool) : postSays(tool),
  };
}

const inTailstock = new Set<Tool['kind']>(['drill', 'centreDrill', 'ream', 'tap', 'die']);

const barSays = (tool: Tool): readonly Sentence[] => [
  say`goes into holes from ${diameter(entersFrom(tool))}${usual(tool.least)}`,
  Number.isFinite(alongHole(tool))
    ? say`reaches ${length(alongHole(tool))} along them${usual(tool.kind === 'groove' ? tool.overhang : tool.reach)}`
    : say`how far it reaches is not said`,
  ...(tool.nose ? [say`nose ${length(mmOf(tool.nose))}`] : []),
];

function postSays(tool: Tool): readonly Sentence[] {
  const blade = tool.kind === 'part' || tool.kind === 'groove';
  const degrees = degreesOf(tool);
  return [
    ...(blade
      ? [say`cuts ${length(mmOf(tool.reach, practice.bladeOut))} deep${usual(tool.reach)}, ${length(mmOf(tool.width, 3))} wide${usual(tool.width)}`]
      : []),
    ...(tool.kind === 'form'
      ? [
          say`${degrees === undefined ? say`a radius tool` : say`a bevel of ${angle(degrees)}`}, ${length(outOfHolder(tool))} out of its holder${usual(tool.reach)}`,
        ]
      : []),
    ...(tool.kind === 'thread' && degrees !== undefined
      ? [say`ground to ${angle(degrees)}${tool.tip ? say`, flat at its tip ${length(mmOf(tool.tip))}` : say``}`]
      : []),
    ...(tool.kind === 'turn' || tool.kind === 'face' ? [say`nose ${length(mmOf(tool.nose, 0.4))}${usual(tool.nose)}, ${tool.hand} hand`] : []),
    say`holder ${length(mmOf(tool.holder, practice.holderWide))} wide${usual(tool.holder)}, ${length(mmOf(tool.overhang, practice.toolOut))} out of the post${usual(tool.overhang)}`,
  ];
}

/** What is carried by the tailstock: round, its point to the headstock. */
function onAxis(tool: Tool): DrawnTool {
  const thread =
    tool.kind === 'tap' ? readInternalThread(tool.size?.text ?? '') : tool.kind === 'die' ? readExternalThread(tool.size?.text ?? '') : undefined;
  const size = thread?.ok ? thread.thread.nominal : isCountersink(tool) ? mmOf(tool.width, 20) : sizeOf(tool);
  if (!(size > 0)) return { shapes: [], says: [say`without its size nothing is planned with it`] };
  const r = size / 2;
  if (tool.kind === 'die')
    return {
      shapes: [boxed('edge', 0, 0.6 * size + 4, r, 2 * r + 6), boxed('edge', 0, 0.6 * size + 4, -2 * r - 6, -r)],
      says: [say`a die for ${diameter(size)}`],
    };
  const half = ((degreesOf(tool) ?? (tool.kind === 'centreDrill' ? 60 : 118)) / 2) * (Math.PI / 180);
  const lead = tool.kind === 'ream' ? practice.reamerLead : tool.kind === 'tap' ? 0.6 * size : half >= Math.PI / 2 ? 0 : r / Math.tan(half);
  const start = tool.kind === 'ream' ? Math.max(0, r - lead) : tool.kind === 'tap' ? 0.8 * r : 0;
  const reach = mmOf(tool.reach, Math.max(3 * size, lead + size));
  return {
    shapes: [
      {
        is: 'edge',
        outline: [
          [0, -start],
          [lead, -r],
          [reach, -r],
          [reach, r],
          [lead, r],
          [0, start],
        ],
      },
      boxed('holder', reach, reach + Math.max(8, 1.5 * size), -r, r),
    ],
    says: [
      tool.kind === 'centreDrill'
        ? say`pilot ${diameter(size)}`
        : isCountersink(tool)
          ? say`a cone of ${angle(degreesOf(tool) ?? 90)}, up to ${diameter(size)}${usual(tool.width)}`
          : say`${diameter(size)}`,
      ...(tool.kind === 'drill' ? [half >= Math.PI / 2 ? say`flat at its end` : say`point ${angle(degreesOf(tool) ?? 118)}`] : []),
      ...(tool.kind === 'drill' || tool.kind === 'ream'
        ? [tool.reach ? say`reaches ${length(mmOf(tool.reach))}` : say`how far its flutes reach is not said`]
        : []),
    ],
  };
}

const boxed = (is: 'edge' | 'holder', x0: number, x1: number, r0: number, r1: number): DrawnTool['shapes'][number] => ({
  is,
  outline: [
    [x0, r0],
    [x1, r0],
    [x1, r1],
    [x0, r1],
  ],
});
