import './small.css';

/** Height of the picture, px: less on a low screen. */
export const standardHeight = (): number => (typeof window !== 'undefined' && window.innerHeight < 720 ? 190 : 220);

/** A grey bar in the jaws, which says what to do. */
export function EmptyBar({ width, height }: { readonly width: number; readonly height: number }) {
  const y = height / 2;
  return (
    <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-label="An empty bar in the jaws">
      <rect x={width * 0.25} y={y - 30} width={width * 0.4} height={60} fill="var(--holding-deep)" />
      <path
        d={`M${width * 0.25} ${y - 62}h90v14h-22v18h-68zM${width * 0.25} ${y + 62}h90v-14h-22v-18h-68z`}
        fill="var(--holding)"
        stroke="var(--holding-line)"
      />
      <line x1={width * 0.22} x2={width * 0.69} y1={y} y2={y} stroke="var(--holding-line)" strokeDasharray="14 4 3 4" />
      <rect x={width * 0.45 - 165} y={y - 12} width={330} height={24} fill="var(--holding-deep)" />
      <text x={width * 0.45} y={y + 5} textAnchor="middle" style={{ fontFamily: 'var(--text)', fontSize: 15, fill: 'var(--quiet)' }}>
        type a size and a length: the part is drawn here
      </text>
    </svg>
  );
}

/** The empty bar in its frame, before anything is drawn: the picture itself is loaded with the first part. */
export const EmptyPicture = () => (
  <div className="bar" style={{ height: standardHeight() }} data-testid="bar">
    <EmptyBar width={1280} height={standardHeight()} />
  </div>
);
