import { useMemo } from 'react';
import { Finding } from '../shell/search';

/** The lines that a text finds among these. */
export function useFound<T>(lines: readonly T[], words: (line: T) => string, asked: string) {
  // eslint-disable-next-line react-hooks/exhaustive-deps -- how a line is put into words changes with the lines only
  const finding = useMemo(() => new Finding(lines, words), [lines]);
  return useMemo(() => finding.find(asked), [finding, asked]);
}
