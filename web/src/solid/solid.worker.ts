import type { Part } from '@obra/core/drawing';
import * as Comlink from 'comlink';
import { type Cut, cutOut, type Section } from './cutOut';

const maker = {
  cut(part: Part, section: Section): Cut {
    const made = cutOut(part, section);
    return Comlink.transfer(made, [made.corners.buffer, made.edges.buffer]);
  },
};

export type SolidMaker = typeof maker;
Comlink.expose(maker);
