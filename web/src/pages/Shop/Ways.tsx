import type { Shop } from '@obra/core/document';
import { writeSentence } from '@obra/core/quantity';
import { ways } from '@obra/core/shop';

/** Where the trade disagrees: this shop's habit, with each side's reason beside it. */
export function Ways({ shop, onChoose }: { readonly shop: Shop; readonly onChoose: (key: string, value: string) => void }) {
  return (
    <div className="ways">
      <p className="quiet">Where the trade disagrees. A job may do otherwise; what is not chosen here goes by the first.</p>
      {ways.map((way) => {
        const now = shop.ways[way.key] ?? way.choices[0]?.value ?? '';
        return (
          <fieldset key={way.key}>
            <legend>{way.asks}</legend>
            {way.choices.map((c) => (
              <label key={c.value} className={now === c.value ? 'chosen' : ''}>
                <input type="radio" name={way.key} value={c.value} checked={now === c.value} onChange={() => onChoose(way.key, c.value)} />
                <span>
                  <strong>{c.words}</strong> <span className="quiet">{writeSentence(c.because, 'mm')}</span>
                </span>
              </label>
            ))}
          </fieldset>
        );
      })}
    </div>
  );
}
