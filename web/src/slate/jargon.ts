/** Words in checks and reasons that a newcomer stops at; each is in the glossary. */
const jargon = [
  'TIR',
  'stick-out',
  'single point',
  'single-point',
  'runout',
  'spring cut',
  'like cuts',
  'lobes',
  'crests',
  'kerf',
  'soft jaws',
  'steady',
  'follow rest',
  'cat head',
  'pip',
  'built-up edge',
  'half-nuts',
  'set over',
  'Morse taper',
  'form A',
  'form B',
  'form R',
  'least chip',
  'backlash',
  'faceplate',
  'collet',
  'interference',
  'undercut',
  'chatter',
  'dog',
] as const;

const looked = new RegExp(`(?<![\\w-])(?:${jargon.join('|')})(?![\\w-])`, 'i');

/** The first of them in a text, and where it stands. */
export function jargonIn(text: string): { readonly word: string; readonly from: number; readonly to: number } | undefined {
  const found = looked.exec(text);
  if (!found) return undefined;
  return { word: found[0], from: found.index, to: found.index + found[0].length };
}

/** What stands in the list, for the test that each is told. */
export const jargonWords: readonly string[] = jargon;
