import { createContext, type DragEvent, lazy, type ReactNode, Suspense, useCallback, useContext, useEffect, useMemo, useRef, useState } from 'react';
import type { DropzoneRootProps } from 'react-dropzone';
import { tell } from './says';
import { ONE, type Taker } from './taker';

// loaded with the first page that takes files, or when one is dragged in
const DropZone = lazy(() => import('./DropZone').then((m) => ({ default: m.DropZone })));

interface Files {
  readonly mind: (taker: Taker) => () => void;
  readonly open: () => void;
}

const Context = createContext<Files>({ mind: () => () => undefined, open: () => undefined });

/** Text that is dragged into a cell is none of ours. */
const carriesFiles = (e: DragEvent) => e.dataTransfer.types.includes('Files');

/** A file is dropped anywhere on the page, or chosen; the innermost that takes files takes it. */
export function FilesProvider({ children, otherwise }: { readonly children: ReactNode; readonly otherwise: Taker }) {
  const [takers, setTakers] = useState<readonly Taker[]>([]);
  const taker = takers.at(-1) ?? otherwise;
  const [wanted, setWanted] = useState(false);
  const page = useRef<HTMLDivElement>(null);
  const zone = useRef<{ readonly root: DropzoneRootProps; readonly open: () => void }>(undefined);
  const files = useMemo<Files>(
    () => ({
      mind: (one) => {
        setWanted(true);
        setTakers((all) => [...all, one]);
        return () => setTakers((all) => all.filter((t) => t !== one));
      },
      open: () => zone.current?.open(),
    }),
    [],
  );
  const ready = useCallback((root: DropzoneRootProps, open: () => void) => {
    zone.current = { root, open };
  }, []);
  return (
    <Context.Provider value={files}>
      <div
        ref={page}
        className="drops"
        role="none"
        onDragEnter={(e) => {
          if (!carriesFiles(e)) return;
          setWanted(true);
          zone.current?.root.onDragEnter?.(e);
        }}
        onDragOver={(e) => {
          if (!carriesFiles(e)) return;
          e.preventDefault();
          zone.current?.root.onDragOver?.(e);
        }}
        onDragLeave={(e) => {
          if (carriesFiles(e)) zone.current?.root.onDragLeave?.(e);
        }}
        onDrop={(e) => {
          if (!carriesFiles(e)) return;
          if (zone.current) {
            zone.current.root.onDrop?.(e);
            return;
          }
          // let go before that was loaded
          e.preventDefault();
          const [file, more] = e.dataTransfer.files;
          if (file && !more) taker.take(file);
          else tell(ONE);
        }}>
        {wanted && (
          <Suspense fallback={null}>
            <DropZone taker={taker} page={page} onReady={ready} />
          </Suspense>
        )}
        {children}
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
