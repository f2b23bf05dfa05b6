import { painted } from './painted';
import type { Colours, Stage } from './stage';
import { onWebGL } from './webgl';

/** Where a solid is drawn, in the colours of the page; plainly where the browser has no WebGL. */
export function stageOn(element: HTMLCanvasElement): { readonly stage: Stage; readonly plain: boolean } {
  const style = getComputedStyle(element);
  const colour = (name: string) => style.getPropertyValue(name).trim();
  const colours: Colours = {
    metal: colour('--steel'),
    section: colour('--solid-section'),
    beside: colour('--holding-line'),
    ink: colour('--ink'),
    paper: colour('--opening'),
  };
  try {
    // asked for by hand first: without it the library prints a page of its own
    const probe = document.createElement('canvas').getContext('webgl2');
    if (!probe) throw new Error('no WebGL');
    probe.getExtension('WEBGL_lose_context')?.loseContext();
    return { stage: onWebGL(element, colours), plain: false };
  } catch {
    return { stage: painted(element, colours), plain: true };
  }
}
