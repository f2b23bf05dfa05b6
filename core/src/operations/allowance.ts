import type { Tool } from '../document';
import { type Feature } from '../drawing';
import { figure, type Figure, tidy } from '../quantity';
import { mmOf, practice } from '../shop';
import { type Facts } from './facts';

/** The sharpest nose of the shop's turning tools, mm: what finishes. */
export const finishNose = (facts: Facts): number => {
  const noses = facts.shop.tools.filter((t) => t.kind === 'turn').map((t) => mmOf(t.nose, 0.4));
  return noses.length > 0 ? Math.min(...noses) : 0.4;
};

/** The tool that finishes by hand: the one that a person chose for the step, else the sharpest of the shop. */
export function finishNoseTool(facts: Facts, id: string): Tool | undefined {
  const turning = facts.shop.tools.filter((t) => t.kind === 'turn');
  const asked = facts.chosen.use.get(id)?.flatMap((item) => turning.filter((t) => t.id === item))[0];
  return asked ?? turning.find((t) => mmOf(t.nose, 0.4) <= finishNose(facts));
}

/** Left for two like finishing cuts, on radius. */
export const allowanceOf = (facts: Facts): number => tidy(Math.max(0.1, 2 * practice.realCutShare * finishNose(facts)));

/** The diameter that finish turning aims at: the middle of the limits. */
export const aimOf = (feature: Feature): number => (feature.nearDiameter.max + feature.nearDiameter.min) / 2;

/** The feed of the machine, or by hand where it has none. */
export const feedFigure = (facts: Facts, asked: number): Figure =>
  facts.machine.feeds.length === 0 ? figure('feed', 'feedByHand', { asked }) : figure('feed', 'feedSet', { asked, feeds: facts.machine.feeds });
