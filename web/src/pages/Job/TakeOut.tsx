import { writeJobFile } from '@obra/core/exchange';
import { Box, FileOutput, Image, PencilRuler, Table } from 'lucide-react';
import { Dropdown } from 'react-bootstrap';
import { wholeLog } from '../../data/wholeLog';
import { download, fileName } from '../../shell/download';
import { pictureFile } from '../../bar';
import type { JobView } from './view';
import { exportAsFile } from '../../words/pressed';

/** The ways out of a job, as items of its menu: the whole job, and its drawing in open formats. `onSaid` hears what a format could not carry. */
export function TakeOut({ look, empty, onSaid }: { readonly look: () => JobView; readonly empty: boolean; readonly onSaid: (says: string) => void }) {
  const writers = () => import('../../shell/takeOut');
  const failed = (format: string) => () => onSaid(`The ${format} could not be written; the job is untouched.`);
  const dxf = async () => {
    const { writeDxf } = await writers();
    const { job, part } = look();
    const labels = Object.fromEntries(job.drawing.outside.map((r) => [r.id, { size: r.size.text, length: r.length.text }]));
    const { text, leftOut } = writeDxf(part, labels);
    download(fileName(job.name, 'dxf'), text, 'image/vnd.dxf');
    onSaid(`DXF written, millimetres. It cannot carry: ${leftOut.join('; ')}.`);
  };
  const stl = async () => {
    const [{ writeStl }, { solidTriangles }] = await Promise.all([writers(), import('../../solid')]);
    const { job, part } = look();
    download(fileName(job.name, 'stl'), writeStl(job.name, await solidTriangles(part)), 'model/stl');
    onSaid(
      'STL written, millimetres, 128 flats round: 0.04 % less than the true volume; holes beside the axis 64 flats round. Flats, keyways and holes are cut; threads are smooth, at their crests.',
    );
  };
  const csv = async () => {
    const { writeRows } = await writers();
    const { job } = look();
    download(fileName(job.name, 'csv'), writeRows(job.drawing), 'text/csv');
    if (job.drawing.details.length > 0) onSaid('CSV written: the rows. Grooves and what else is cut in them are not in it; the job file has all.');
  };
  const svg = () => {
    const picture = document.querySelector<SVGSVGElement>('[data-testid="bar"] svg');
    if (picture) download(fileName(look().job.name, 'svg'), pictureFile(picture), 'image/svg+xml');
  };
  const file = async () => {
    const { job, open, id } = look();
    const { log, ...carried } = await wholeLog(id);
    download(fileName(job.name), writeJobFile(open.stored, log, carried));
  };
  return (
    <>
      <Dropdown.Item as="button" onClick={() => void file().catch(failed('The file'))}>
        <FileOutput size={15} aria-hidden /> {exportAsFile}
      </Dropdown.Item>
      <Dropdown.Item as="button" disabled={empty} onClick={() => void dxf().catch(failed('DXF'))}>
        <PencilRuler size={15} aria-hidden /> drawing as DXF
      </Dropdown.Item>
      <Dropdown.Item as="button" disabled={empty} onClick={() => void stl().catch(failed('STL'))}>
        <Box size={15} aria-hidden /> solid as STL
      </Dropdown.Item>
      <Dropdown.Item as="button" disabled={empty} onClick={svg}>
        <Image size={15} aria-hidden /> picture as SVG
      </Dropdown.Item>
      <Dropdown.Item as="button" onClick={() => void csv().catch(failed('CSV'))}>
        <Table size={15} aria-hidden /> rows as CSV
      </Dropdown.Item>
    </>
  );
}
