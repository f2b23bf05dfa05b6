import { bareDegrees, decimalMark, type Units, writeSentence } from '@obra/core/quantity';
import { readWarmth } from '@obra/core/sizing';
import { type ReactNode, useRef } from 'react';
import { bothScales } from '../../fields';

interface Props {
  readonly sizing: boolean;
  /** what is measured: 'Ø', 'length', 'over wires of 1.100' */
  readonly what: string;
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly celsius: string;
  /** degrees C of the room, where that was told: a piece that nothing is said of is as warm */
  readonly room: number | undefined;
  readonly onCelsius: (text: string) => void;
  readonly field: 'size' | 'celsius';
  readonly onField: (field: 'size' | 'celsius') => void;
  readonly units: Units;
  /** of the job: in inches a bare temperature is asked about */
  readonly jobUnits: Units;
  readonly said: string | undefined;
  readonly label: string;
  readonly onNext: () => void;
  /** what takes a step back or over it, under the big key and apart from it */
  readonly under: ReactNode;
  /** what stands in the place of the pad where nothing is read */
  readonly children?: ReactNode;
}

/** Three rows of five; the last place is the temperature's. */
const KEYS = ['7', '8', '9', '⌫', '-', '4', '5', '6', '.', '+', '1', '2', '3', '0'] as const;

/** What a temperature was understood as, or what is asked. */
function warmthSaid(text: string, units: Units, room: number | undefined): string {
  if (text.trim() === '' && room !== undefined) return bothScales(room);
  const read = readWarmth(text, bareDegrees(units));
  return read.ok ? bothScales(read.value) : writeSentence(read.problems[0]?.says ?? [], units);
}

/** The same number in the other scale. */
const otherScale = (text: string): string => `${text.replace(/\s*[cf]$/i, '')}${/c$/i.test(text) ? 'F' : 'C'}`;

/** The number pad and the one big key; with a keyboard the entry takes digits as they come. */
export function Pad(p: Props) {
  const entry = useRef<HTMLInputElement>(null);
  const warm = p.field === 'celsius';
  const value = warm ? p.celsius : p.text;
  const set = warm ? p.onCelsius : p.onText;
  const press = (key: string) => set(key === '⌫' ? value.slice(0, -1) : (value + (key === '.' ? decimalMark() : key)).slice(0, 14));
  return (
    <div className="pad" role="group" aria-label="Entry">
      {!p.sizing && <div className="notes">{p.children}</div>}
      {p.sizing && (
        <>
          <div className="entry">
            <input
              id="reading"
              ref={entry}
              inputMode="none"
              autoComplete="off"
              aria-label={warm ? 'temperature' : 'reading'}
              value={value}
              maxLength={14}
              onFocus={(e) => {
                if (!warm) e.target.select();
              }}
              onChange={(e) => set(e.target.value.replace(warm ? /[^0-9.,+\-CcFf°]/g : /[^0-9.,+\-/ "]/g, '').trimStart())}
              onKeyDown={(e) => {
                if (e.key === 'Enter' || e.key === ' ' || e.key === 'PageDown') {
                  e.preventDefault();
                  if (!e.repeat) p.onNext();
                }
                if (e.key.toLowerCase() === 't') {
                  e.preventDefault();
                  p.onField(warm ? 'size' : 'celsius');
                  p.onCelsius(warm ? p.celsius : '');
                }
              }}
            />
            <small>
              {warm
                ? `of the piece: ${warmthSaid(p.celsius, p.jobUnits, p.room)}`
                : `measured, ${p.what} ${p.units === 'mm' ? 'mm' : 'inch'}, at ${warmthSaid(p.celsius, p.jobUnits, p.room)}`}
              {p.said !== undefined && !warm && (
                <>
                  <br />
                  {p.said}
                </>
              )}
            </small>
          </div>
          {KEYS.map((key) =>
            warm && key === '+' ? (
              <button key={key} type="button" className="word" aria-label="C or F" onClick={() => p.onCelsius(otherScale(p.celsius))}>
                C/F
              </button>
            ) : (
              <button key={key} type="button" aria-label={key === '⌫' ? 'rub out' : key} onClick={() => press(key)}>
                {key === '.' ? decimalMark() : key}
              </button>
            ),
          )}
          <button
            type="button"
            className={`word ${warm ? 'on' : ''}`}
            aria-pressed={warm}
            aria-keyshortcuts="t"
            onClick={() => {
              p.onField(warm ? 'size' : 'celsius');
              if (!warm) p.onCelsius('');
            }}>
            °C
          </button>
        </>
      )}
      <button type="button" className="next" onClick={p.onNext} data-testid="next">
        {p.label}
      </button>
      <div className="under">{p.under}</div>
    </div>
  );
}
