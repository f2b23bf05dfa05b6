import { type Start, starts } from '@obra/core/shop';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { saveShop } from '../../data/shopStore';
import { tell } from '../../shell/says';
import { useUnits } from '../../shell/units';

/** A lathe in a few lines, as seen from where one stands: head, bed, tailstock; what is more of it the larger it is. */
function LathePicture({ id }: { readonly id: Start['id'] }) {
  const long = { small: 120, mid: 160, readout: 190 }[id];
  const high = { small: 18, mid: 24, readout: 30 }[id];
  const bed = 66;
  return (
    <svg viewBox="0 0 210 96" width="210" height="96" aria-hidden="true">
      <g fill="var(--holding)" stroke="var(--ink)" strokeWidth="1.4" strokeLinejoin="round">
        <path d={`M8 ${String(bed)}h${String(long)}v9H8z`} />
        <path d={`M8 ${String(bed)}v-${String(high + 10)}h${String(long * 0.26)}v${String(high + 10)}z`} />
        <path d={`M${String(8 + long * 0.26)} ${String(bed - high + 2)}h8v${String(high - 12)}h-8z`} fill="var(--steel)" />
        <path d={`M${String(8 + long * 0.46)} ${String(bed)}v-10h${String(long * 0.18)}v10z`} />
        <path d={`M${String(8 + long * 0.82)} ${String(bed)}v-${String(high)}h${String(long * 0.14)}v${String(high)}z`} />
        {id !== 'small' && <path d={`M12 ${String(bed + 9)}v16h26v-16zM${String(long - 22)} ${String(bed + 9)}v16h22v-16z`} />}
        {id === 'small' && <path d={`M14 ${String(bed + 9)}h8v5h-8zM${String(long - 8)} ${String(bed + 9)}h8v5h-8z`} />}
        {id === 'readout' && <path d={`M${String(8 + long * 0.3)} 6h44v18h-44z`} fill="var(--slate)" />}
      </g>
      {id === 'readout' && (
        <text x={8 + long * 0.3 + 22} y={19} textAnchor="middle" fontSize="11" fontFamily="var(--figures)" fill="var(--chalk)">
          24.62
        </text>
      )}
      <path
        d={`M${String(8 + long * 0.2)} ${String(bed - high + 6)}H${String(8 + long * 0.84)}`}
        stroke="var(--ink)"
        strokeDasharray="9 3 2 3"
        strokeWidth="0.9"
      />
    </svg>
  );
}

/** Asked once, where nobody has said what stands in the shop: which of three lathes is most like it. It can be done over in the Shop. */
export function WhichLathe({ onDone }: { readonly onDone: () => void }) {
  const [id, setId] = useState<Start['id']>();
  const { ask } = useUnits('mm');
  const navigate = useNavigate();
  const take = async (to: string | undefined) => {
    const start = starts.find((s) => s.id === id);
    if (!start) return;
    try {
      await saveShop(() => start.make());
      ask(start.units);
      onDone();
      if (to !== undefined) await navigate(to);
    } catch {
      tell('This browser did not store it (storage full or blocked). The small bench lathe stands for now.');
    }
  };
  return (
    <section aria-label="Which lathe" className="which-lathe">
      <h2>Which lathe is most like yours?</h2>
      <div className="samples" role="radiogroup" aria-label="Lathe">
        {starts.map((s) => (
          <button
            key={s.id}
            type="button"
            role="radio"
            aria-checked={id === s.id}
            className={id === s.id ? 'chosen' : ''}
            onClick={() => setId(s.id)}>
            <LathePicture id={s.id} />
            <span>{s.words}</span>
          </button>
        ))}
      </div>
      <div className="d-flex gap-2 mt-2 align-items-center flex-wrap">
        <Button disabled={id === undefined} onClick={() => void take(undefined)}>
          use these as they are
        </Button>
        <Button variant="outline-dark" disabled={id === undefined} onClick={() => void take('/shop/machines')}>
          I will set mine
        </Button>
        <span className="quiet">Its speeds, dials, rack and drawer are assumed until you say otherwise; it can be chosen again in the Shop.</span>
      </div>
    </section>
  );
}
