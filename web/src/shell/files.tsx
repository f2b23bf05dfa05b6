import { createContext, type ReactNode, useContext, useEffect, useMemo, useRef, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { tell } from './says';

/** What a page does with a file: how it is called, what its name ends in, and what is done with it. */
interface Taker {
  /** 'Job file' */
  readonly label: string;
  /** '.json', '.csv,.tsv': only offered first; what a file is, its content says */
  readonly ends: string;
  readonly take: (file: File) => void;
}

interface Files {
  readonly mind: (taker: Taker) => () => void;
  readonly open: () => void;
}

const Context = createContext<Files>({ mind: () => () => undefined, open: () => undefined });

/** A file is dropped anywhere on the page, or chosen; the innermost that takes files takes it. */
export function FilesProvider({ children, otherwise }: { readonly children: ReactNode; readonly otherwise: Taker }) {
  const [takers, setTakers] = useState<readonly Taker[]>([]);
  const taker = takers.at(-1) ?? otherwise;
  const { getRootProps, getInputProps, inputRef, open, isDragActive } = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    // a dialog of the system in a window of the page; the other way is not everywhere
    useFsAccessApi: false,
    onDrop: (taken, refused) => {
      const [file] = taken;
      // the same file may be chosen again
      inputRef.current.value = '';
      if (file && refused.length === 0) taker.take(file);
      else tell('One file at a time, please. Nothing was changed.');
    },
  });
  const dialog = useRef(open);
  useEffect(() => {
    dialog.current = open;
  });
  const files = useMemo<Files>(
    () => ({
      mind: (one) => {
        setTakers((all) => [...all, one]);
        return () => setTakers((all) => all.filter((t) => t !== one));
      },
      open: () => dialog.current(),
    }),
    [],
  );
  return (
    <Context.Provider value={files}>
      <div {...getRootProps({ className: 'drops', role: 'none' })}>
        <input {...getInputProps({ accept: taker.ends, 'aria-label': taker.label, tabIndex: -1 })} />
        {children}
        {isDragActive && (
          <div className="dropping" aria-hidden="true">
            let go: {taker.label.toLowerCase()}
          </div>
        )}
      </div>
    </Context.Provider>
  );
}

/** This page, or this dialog, takes files while it is there. Gives what opens the choice of one. */
export function useFiles(label: string, ends: string, take: (file: File) => unknown): () => void {
  const { mind, open } = useContext(Context);
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  });
  useEffect(() => mind({ label, ends, take: (file) => void latest.current(file) }), [mind, label, ends]);
  return open;
}
