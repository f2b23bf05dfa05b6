/** A place along the part as a setup at the left end sees it: z' = -length - z, so that its own face is zero. */
export function turnedRound(z: number, length: number): number {
  return -length - z;
}
