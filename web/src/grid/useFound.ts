import { useEffect, useMemo } from 'react';
import { Finding } from '../shell/search';

/** Lists longer than this are made ready for words that are nearly right before anybody asks, so many lines at a time. */
const LONG = 500;
const SLICE = 200;

/** The lines that a text finds among these. */
export function useFound<T>(lines: readonly T[], words: (line: T) => string, asked: string) {
  // eslint-disable-next-line react-hooks/exhaustive-deps -- how a line is put into words changes with the lines only
  const finding = useMemo(() => new Finding(lines, words), [lines]);
  useEffect(() => {
    if (lines.length < LONG) return undefined;
    let timer = 0;
    const go = () => {
      if (finding.prepare(SLICE)) timer = window.setTimeout(go, 20);
    };
    timer = window.setTimeout(go, 300);
    return () => clearTimeout(timer);
  }, [finding, lines]);
  return useMemo(() => finding.find(asked), [finding, asked]);
}
