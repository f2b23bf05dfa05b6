import { type RefObject, useEffect } from 'react';
import { type DropzoneRootProps, useDropzone } from 'react-dropzone';
import { tell } from './says';
import { ONE, type Taker } from './taker';

interface Props {
  readonly taker: Taker;
  /** what files are dropped on */
  readonly page: RefObject<HTMLDivElement | null>;
  /** what that does with what is dragged over it, and what opens the choice of a file */
  readonly onReady: (root: DropzoneRootProps, open: () => void) => void;
}

/** What takes the file that is dropped or chosen; loaded beside the page. */
export function DropZone({ taker, page, onReady }: Props) {
  const { getRootProps, getInputProps, rootRef, inputRef, open, isDragActive } = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    // the page is all of it; text that is dragged is left to the browser
    preventDropOnDocument: false,
    // a dialog of the system in a window of the page; the other way is not everywhere
    useFsAccessApi: false,
    onDrop: (taken, refused) => {
      const [file] = taken;
      // the same file may be chosen again
      inputRef.current.value = '';
      if (file && refused.length === 0) taker.take(file);
      else tell(ONE);
    },
  });
  useEffect(() => {
    if (page.current) rootRef.current = page.current;
    onReady(getRootProps(), open);
  });
  return (
    <>
      <input {...getInputProps({ accept: taker.ends, 'aria-label': taker.label, tabIndex: -1 })} />
      {isDragActive && (
        <div className="dropping" aria-hidden="true">
          let go: {taker.label.toLowerCase()}
        </div>
      )}
    </>
  );
}
