/** What a page does with a file: how it is called, what its name ends in, and what is done with it. */
export interface Taker {
  /** 'Job file' */
  readonly label: string;
  /** '.json', '.csv,.tsv': only offered first; what a file is, its content says */
  readonly ends: string;
  readonly take: (file: File) => void;
}

/** Told where more than one is dropped, or what is no file. */
export const ONE = 'One file at a time, please. Nothing was changed.';
