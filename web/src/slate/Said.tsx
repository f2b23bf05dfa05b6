import { isFigure, type Sentence, type Units, writeSentence } from '@obra/core/quantity';
import { FigureNumber } from './FigureNumber';

/** A sentence on screen: what was computed in it opens its formula, like any other number. */
export function Said({ sentence, units }: { readonly sentence: Sentence; readonly units: Units }) {
  return sentence.map((part, i) => (isFigure(part) ? <FigureNumber key={i} figure={part} units={units} withUnit /> : writeSentence([part], units)));
}
