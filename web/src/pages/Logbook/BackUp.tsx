import { parseBackupText } from '@obra/core/document';
import { type Restore, layRestore } from '@obra/core/exchange';
import { writeSentence } from '@obra/core/quantity';
import { formatISO } from 'date-fns';
import { FileInput, FileOutput } from 'lucide-react';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import useSWR from 'swr';
import { useFiles } from '../../shell/files';
import { download } from '../../shell/download';
import { backedUp, everything, restore } from '../../data/backup';
import { newId } from '../../data/ids';
import { attempts } from '../../data/practised';
import { backupDue, lastBackup, type Persisted, persisted } from '../../data/persist';
import { loadShop } from '../../data/shopStore';
import { keysUnder } from '../../data/store';

const TOO_LARGE = 200_000_000;
const KEEPING: Readonly<Record<Persisted, string>> = {
  kept: 'This browser has promised to keep what is stored here until you clear it.',
  'may be cleared': 'This browser may clear what is stored here when it runs out of room: back up often.',
  'not known': 'This browser does not say whether it keeps what is stored here: back up often.',
};
/** What is reminded of, from what is stored. */
async function reminder(): Promise<string | undefined> {
  const [last, entries, jobs] = await Promise.all([lastBackup(), keysUnder('log/'), keysUnder('job/')]);
  return backupDue(last, entries.length, jobs.length, Date.now());
}

const REFUSED =
  'This browser did not store it (storage full or blocked). What was there is untouched; what came in before that is there. Make room and take it in again: nothing comes in twice.';

/** Everything of this browser in one file, and back again: what it would do is said before it is done. */
export function BackUp({ onSays, onRestored }: { readonly onSays: (says: string) => void; readonly onRestored: () => void }) {
  const [preview, setPreview] = useState<{ readonly name: string; readonly of: Restore }>();
  const out = async () => {
    try {
      download(`obra-backup-${formatISO(new Date(), { representation: 'date' })}.json`, await backedUp());
      await reminded();
    } catch {
      onSays('This browser does not open its storage: nothing could be read.');
    }
  };
  const look = async (chosen: File) => {
    if (chosen.size > TOO_LARGE) {
      onSays(`${chosen.name} is ${String(Math.round(chosen.size / 1e6))} MB; a backup is far smaller. Nothing was changed.`);
      return;
    }
    const parsed = parseBackupText(await chosen.text());
    if (!parsed.ok) {
      onSays(`${chosen.name}: ${writeSentence(parsed.problems[0]?.says ?? [], 'mm')}. Nothing was changed.`);
      return;
    }
    const { shop } = await loadShop();
    setPreview({ name: chosen.name, of: layRestore(parsed.value, await everything(), shop, newId, await attempts()) });
  };
  const choose = useFiles('Backup file', '.json,application/json', look);
  const take = async () => {
    if (!preview) return;
    try {
      await restore(preview.of);
      onSays(`${preview.name} is taken in.`);
      setPreview(undefined);
    } catch {
      onSays(REFUSED);
    }
    onRestored();
  };
  const changes = preview
    ? preview.of.jobs.length + preview.of.entries.length + preview.of.shops.length + preview.of.unread.length + preview.of.practised.length
    : 0;
  const { data: keeping } = useSWR('persisted', () => persisted(), { revalidateOnMount: true });
  const { data: due, mutate: reminded } = useSWR('backup-due', () => reminder(), { revalidateOnMount: true });
  return (
    <section className="mt-4" aria-label="Backup">
      <h2>Backup</h2>
      {due !== undefined && <p role="status">{due} Back everything up.</p>}
      {keeping !== undefined && <p className="quiet mb-1">{KEEPING[keeping]}</p>}
      <p className="quiet">
        Everything of this browser in one file: jobs, what happened at the Bench, the shop, what was practised. Taken in elsewhere it is united with
        what is there; nothing is overwritten.
      </p>
      <div className="d-flex gap-2">
        <Button variant="outline-dark" onClick={() => void out()}>
          <FileOutput size={15} aria-hidden /> back up everything
        </Button>
        <Button variant="outline-dark" onClick={choose}>
          <FileInput size={15} aria-hidden /> restore from a backup
        </Button>
      </div>
      {preview && (
        <div className="mt-3" role="group" aria-label="What would come in">
          <h3 className="size-18">{preview.name}</h3>
          <ul>
            {preview.of.says.map((s, i) => (
              <li key={i}>{writeSentence(s, 'mm')}</li>
            ))}
          </ul>
          <div className="d-flex gap-2">
            {changes > 0 && <Button onClick={() => void take()}>take it in</Button>}
            <Button variant="outline-dark" onClick={() => setPreview(undefined)}>
              {changes > 0 ? 'leave it' : 'close'}
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
