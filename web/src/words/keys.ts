/* What a key does, as its list says it. */

export const nextSays = 'next: what the big key says';
export const unitsSwap = 'millimetres or inches';
export const solidOrSection = 'the solid, or the section';
export const noRouteYet = 'No route yet';
