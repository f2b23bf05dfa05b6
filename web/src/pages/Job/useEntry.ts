import { type AtSize, awayFor, digitsAhead } from '@obra/core/bench';
import type { Characteristic } from '@obra/core/drawing';
import { decimalMark, type Units } from '@obra/core/quantity';
import { wholeReading } from '@obra/core/sizing';
import { useState } from 'react';
import { kept } from '../../data/local';

const GAUGE_UNITS = 'obra-gauge-units';

function keptUnits(otherwise: Units): Units {
  const before = kept.get(GAUGE_UNITS);
  return before === 'mm' || before === 'in' ? before : otherwise;
}

/** What stands in the entry of the Bench; begun anew with each entry of the log and each size that is picked. */
export function useEntry(at: AtSize, entries: number, jobUnits: Units) {
  // a piece that was away for an hour is taken as cold until somebody says what it is
  const [opened] = useState(() => Date.now());
  const warmth = awayFor(at.live, 'mild-steel', 25, opened) ? undefined : at.readings.at(-1)?.celsius;
  const [units, setUnits] = useState<Units>(() => keptUnits(jobUnits));
  const [celsius, setCelsius] = useState(warmth === undefined ? '' : `${String(warmth)}C`);
  const [field, setField] = useState<'size' | 'celsius'>('size');
  // before release any size that was finished here may be read
  const [picked, setPicked] = useState<Characteristic>();
  const ahead = digitsAhead(at, picked, units).replace('.', decimalMark());
  const [text, setText] = useState(ahead);
  const [seen, setSeen] = useState({ entries, picked: picked?.id });
  if (seen.entries !== entries || seen.picked !== picked?.id) {
    setSeen({ entries, picked: seen.entries === entries ? picked?.id : undefined });
    if (seen.entries !== entries) setPicked(undefined);
    setText(ahead);
    setField('size');
  }
  return {
    text,
    typed: text !== '' && text !== ahead,
    onText: (typed: string) => setText(wholeReading(ahead, typed)),
    celsius,
    onCelsius: setCelsius,
    field,
    onField: setField,
    units,
    onUnits: (to: Units) => {
      setUnits(to);
      kept.set(GAUGE_UNITS, to);
      setText('');
    },
    picked,
    pick: (size: Characteristic) => {
      setPicked(size);
      requestAnimationFrame(() => document.querySelector<HTMLInputElement>('#reading')?.focus({ preventScroll: true }));
    },
  };
}
