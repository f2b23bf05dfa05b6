import type { Entry } from '@obra/core/document';
import type { Step } from '@obra/core/operations';
import { type SubmitEvent, useId, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import useSWR from 'swr';
import { keepPhoto, loadPhoto } from '../../data/photos';
import { REFUSED } from './useCard';
import type { JobView } from './view';
import { keepIt, leaveIt } from '../../words/pressed';

interface Props {
  readonly view: JobView;
  readonly step: Step;
  readonly piece: number;
  readonly onClose: () => void;
  readonly onStore: (work: () => Promise<unknown>) => Promise<void>;
}

/** What somebody wants to keep of this step: words, a photograph, or both. */
export function NoteHere({ view, step, piece, onClose, onStore }: Props) {
  const [says, setSays] = useState('');
  const [file, setFile] = useState<File>();
  const [refused, setRefused] = useState<string>();
  const id = useId();
  const keep = (e: SubmitEvent) => {
    e.preventDefault();
    if (says.trim() === '' && !file) return;
    void onStore(async () => {
      const photo = file && (await keepPhoto(file));
      if (photo && 'refused' in photo) {
        setRefused(photo.refused);
        return REFUSED;
      }
      await view.add({ kind: 'note', says: says.trim().slice(0, 4000), ...(photo && { photo: photo.id }), piece, step: step.id });
      onClose();
      return undefined;
    });
  };
  return (
    <Form className="note-here" aria-label="Note" onSubmit={keep} onKeyDown={(e) => e.key === 'Escape' && onClose()}>
      <Form.Control
        as="textarea"
        rows={2}
        autoFocus
        aria-label="what to keep of this step"
        placeholder="done my way: turned with the round nose, 355 rpm"
        value={says}
        maxLength={4000}
        onChange={(e) => setSays(e.target.value)}
      />
      <div className="d-flex gap-2 mt-2 align-items-center flex-wrap">
        <label htmlFor={id} className="quiet">
          photograph
        </label>
        <Form.Control
          id={id}
          type="file"
          accept="image/*"
          className="most-460"
          onChange={(e) => {
            setRefused(undefined);
            setFile((e.target as HTMLInputElement).files?.[0]);
          }}
        />
        <Button type="submit" variant="light" className="tall-48" disabled={says.trim() === '' && !file}>
          {keepIt}
        </Button>
        <Button variant="outline-light" className="tall-48" onClick={onClose}>
          {leaveIt}
        </Button>
      </div>
      {refused !== undefined && (
        <div role="alert" className="out">
          {refused}
        </div>
      )}
    </Form>
  );
}

type Note = Extract<Entry, { kind: 'note' }>;

/** What was kept of a step, the last first. */
export function Notes({ notes }: { readonly notes: readonly Note[] }) {
  if (notes.length === 0) return null;
  return (
    <ul className="notes-kept" aria-label="Notes of this step">
      {notes.toReversed().map((note) => (
        <li key={note.id}>
          {note.photo !== undefined && <Photo id={note.photo} says={note.says} />}
          {note.says}
        </li>
      ))}
    </ul>
  );
}

/** A kept photograph; said where this browser does not have it. */
export function Photo({ id, says }: { readonly id: string; readonly says: string }) {
  const { data, isLoading } = useSWR(['photo', id], () => loadPhoto(id), { revalidateOnFocus: false });
  if (isLoading) return null;
  if (data === undefined) return <span className="quiet">[a photograph that is in another browser] </span>;
  return (
    <a href={data} target="_blank" rel="noreferrer" download={`${id}.jpg`}>
      <img src={data} alt={says === '' ? 'photograph of this step' : says} height={64} />
    </a>
  );
}
