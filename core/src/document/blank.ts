import type { Units } from '../quantity';
import type { Drawing, Job, Section } from './types';

export function blankDrawing(): Drawing {
  return {
    outside: [],
    boreRight: [],
    boreLeft: [],
    details: [],
    relations: [],
    mates: [],
    samples: [],
    care: {},
    untoleranced: { text: 'ISO 2768-m', units: 'mm' },
    material: 'mild-steel',
    title: {},
    treatment: [],
  };
}

export function blankJob(name: string, units: Units): Job {
  return { name, pieces: 1, units, drawing: blankDrawing(), choices: [] };
}

/** A row of which nothing is typed yet. */
export const blankRow = (id: string, units: Units): Section => ({ id, size: { text: '', units }, length: { text: '', units } });

/** Whether nothing is typed in a row: it waits, and is not of the part yet. */
export const isBlankRow = (row: Section): boolean =>
  [row.size, row.length, row.near, row.far, row.usable, row.finish].every((cell) => (cell?.text ?? '').trim() === '');
