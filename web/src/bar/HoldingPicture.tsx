import type { Holding } from '@obra/core/document';
import type { ReactNode } from 'react';

const metal = { fill: 'var(--steel)', stroke: 'var(--ink)', strokeWidth: 0.8 };
const holder = { fill: 'var(--holding-deep)', stroke: 'var(--holding-line)', strokeWidth: 0.8 };

const bar = <rect x={18} y={9.5} width={34} height={7} {...metal} />;
const plate = <rect x={3} y={2} width={7} height={22} {...holder} />;
const jaw = (y: number, steps: 1 | -1, soft = false) => (
  <path d={`M10 ${y}h18v${steps * 3.5}h-9v${steps * 3.5}h-9z`} {...holder} {...(soft && { strokeDasharray: '2 1.5' })} />
);
const jaws = (soft = false): ReactNode => (
  <>
    {plate}
    {jaw(2.5, 1, soft)}
    {jaw(23.5, -1, soft)}
  </>
);
const cone = (x: number, to: 1 | -1) => <path d={`M${x} 13l${to * 10} -5v10z`} {...holder} />;

/** Each way of holding as it is seen from above, headstock at the left. */
const pictures: Readonly<Record<Holding['kind'], ReactNode>> = {
  threeJaw: (
    <>
      {bar}
      {jaws()}
    </>
  ),
  fourJaw: (
    <>
      {bar}
      {jaws()}
      <rect x={12} y={10.5} width={9} height={5} {...holder} />
    </>
  ),
  softJaws: (
    <>
      {bar}
      {jaws(true)}
    </>
  ),
  collet: (
    <>
      {bar}
      <path d="M3 4h14l6 5v8l-6 5h-14z" {...holder} />
    </>
  ),
  softCollet: (
    <>
      {bar}
      <path d="M3 4h14l6 5v8l-6 5h-14z" {...holder} strokeDasharray="2 1.5" />
    </>
  ),
  centres: (
    <>
      <rect x={14} y={9.5} width={28} height={7} {...metal} />
      {cone(6, 1)}
      {cone(50, -1)}
      <path d="M20 2h4v22h-4z" {...holder} />
    </>
  ),
  arbor: (
    <>
      <rect x={6} y={10.5} width={44} height={5} {...holder} />
      <rect x={18} y={4} width={18} height={18} {...metal} />
      <rect x={18} y={10.5} width={18} height={5} {...holder} />
    </>
  ),
  cushionedArbor: (
    <>
      <rect x={6} y={10.5} width={44} height={5} {...holder} />
      <rect x={18} y={4} width={18} height={18} {...metal} />
      <rect x={18} y={9} width={18} height={8} {...holder} strokeDasharray="2 1.5" />
    </>
  ),
  faceplate: (
    <>
      <rect x={3} y={1} width={5} height={24} {...holder} />
      <rect x={8} y={5} width={12} height={16} {...metal} />
      <path d="M8 2h15v3h-15zM8 21h15v3h-15z" {...holder} />
    </>
  ),
  splitBush: (
    <>
      {bar}
      {jaws()}
      <path d="M14 7.5h16v2h-16zM14 16.5h16v2h-16z" {...metal} />
    </>
  ),
  steady: (
    <>
      {bar}
      <path d="M32 1h5v8h-5zM32 17h5v8h-5z" {...holder} />
    </>
  ),
  followRest: (
    <>
      {bar}
      <path d="M32 1h5v8h-5zM32 1h12v3h-12z" {...holder} />
    </>
  ),
  liveCentre: (
    <>
      <rect x={4} y={9.5} width={28} height={7} {...metal} />
      {cone(42, -1)}
      <rect x={42} y={6} width={9} height={14} {...holder} />
    </>
  ),
  deadCentre: (
    <>
      <rect x={4} y={9.5} width={28} height={7} {...metal} />
      {cone(42, -1)}
      <rect x={42} y={9} width={9} height={8} {...holder} />
    </>
  ),
  pipeCentre: (
    <>
      <rect x={4} y={5} width={28} height={16} {...metal} />
      <path d="M46 13l-16 -9l4 18z" {...holder} />
    </>
  ),
  halfCentre: (
    <>
      <rect x={4} y={9.5} width={28} height={7} {...metal} />
      <path d="M32 13l10 -5v5z" {...holder} />
      <rect x={42} y={8} width={9} height={5} {...holder} />
    </>
  ),
};

interface Props {
  readonly kind: Holding['kind'];
  /** what carries the free end too */
  readonly support?: readonly ('centre' | 'steady' | 'followRest')[];
}

/** A holding as a small picture, with what supports the work; its words stand beside it. */
export const HoldingPicture = ({ kind, support = [] }: Props) => (
  <svg width={64} height={26} viewBox="0 0 64 26" aria-hidden="true" className="flex-none">
    {pictures[kind]}
    {support.includes('centre') && cone(62, -1)}
    {support.includes('steady') && <path d="M38 1h5v8h-5zM38 17h5v8h-5z" {...holder} />}
    {support.includes('followRest') && <path d="M38 1h5v8h-5zM38 1h11v3h-11z" {...holder} />}
  </svg>
);
