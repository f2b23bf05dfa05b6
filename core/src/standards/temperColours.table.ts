/**
 * Colours that a bright surface of plain carbon steel takes as it is tempered, in degrees Celsius; a longer time or an alloy steel shows the same colour cooler.
 * @source tables of temper colours in handbooks (430 F pale yellow to 640 F light blue), from memory, within 10 degrees
 */
export const temperColours = [
  ['pale straw', 221],
  ['light straw', 221],
  ['straw', 232],
  ['dark straw', 243],
  ['yellow brown', 254],
  ['brown', 260],
  ['brown purple', 271],
  ['purple', 282],
  ['dark purple', 288],
  ['dark blue', 299],
  ['light blue', 338],
  ['pale blue', 338],
  ['blue', 293],
] as const;
