import { type Fault, linesOf } from '@obra/core/practice';
import { parseLength } from '@obra/core/quantity';
import { useEffect, useRef, useState } from 'react';
import { leave, listenTo, memoryGauge, useInstruments, useReadings } from '../../instruments';

const [ID, NAME] = ['practice-gauge', 'simulated gauge'] as const;
/** A line that says nothing for so long, ms, has said nothing. */
const SILENT = 700;

export interface Speaking {
  readonly on: boolean;
  readonly fault: Fault;
  /** why what it sent was not taken */
  readonly trouble: string | undefined;
  readonly turn: (on: boolean) => void;
  readonly goWrong: (fault: Fault) => void;
  /** the key of the gauge is pressed while it shows so much, mm */
  readonly press: (mm: number) => void;
}

/** Gauges of Practice that speak by a line, in memory: the same lines, faults and doubts as those of a real one. @param onHeard what came, mm; null where nothing did */
export function useSpeaking(onHeard: (mm: number | null) => void): Speaking {
  const [gauge] = useState(() => memoryGauge(ID, NAME));
  const [on, setOn] = useState(false);
  const [fault, goWrong] = useState<Fault>('none');
  const waits = useRef<ReturnType<typeof setTimeout>>(undefined);
  const trouble = useInstruments().find((i) => i.id === ID)?.trouble;
  const settle = (mm: number | null) => {
    clearTimeout(waits.current);
    waits.current = undefined;
    onHeard(mm);
  };
  useReadings((reading, from) => {
    if (from !== NAME || waits.current === undefined) return;
    const read = parseLength(reading.text, reading.units);
    settle(read.ok ? read.value : null);
  });
  useEffect(
    () => () => {
      clearTimeout(waits.current);
      leave(ID);
    },
    [],
  );
  return {
    on,
    fault,
    trouble,
    turn: (to) => {
      setOn(to);
      if (to) void listenTo(gauge.source);
      else leave(ID);
    },
    goWrong,
    press: (mm) => {
      clearTimeout(waits.current);
      waits.current = setTimeout(() => settle(null), SILENT);
      gauge.send(linesOf({ axes: [''], shows: { '': mm }, fault }));
    },
  };
}
