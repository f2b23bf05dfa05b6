/** What can be pressed beside what is told. */
export interface Act {
  readonly says: string;
  readonly does: () => void;
}
