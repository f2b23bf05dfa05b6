import type { Machine } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import { parseLength, type Units } from '@obra/core/quantity';
import { useState } from 'react';
import { Button, Form, Modal } from 'react-bootstrap';

const numbers = (text: string): readonly number[] =>
  text
    .split(/[\s;]+|,\s+/)
    .map((t) => Number(t.replace(',', '.')))
    .filter((n) => n > 0);

/** The lathe as it stands: what is assumed is confirmed or changed here, when it is first used. */
export function LatheEditor({
  machine,
  onSave,
  onClose,
}: {
  readonly machine: Machine;
  readonly onSave: (edits: readonly Edit[]) => void;
  readonly onClose: () => void;
}) {
  const cross = machine.dials.cross;
  const [name, setName] = useState(machine.name);
  const [speeds, setSpeeds] = useState(Array.isArray(machine.speeds) ? machine.speeds.join(' ') : '');
  const [feeds, setFeeds] = useState(machine.feeds.join(' '));
  const [reads, setReads] = useState<'diameter' | 'radius'>(cross?.reads === 'radius' ? 'radius' : 'diameter');
  const [division, setDivision] = useState(cross?.division.text ?? '0.02');
  const [units, setUnits] = useState<Units>(cross?.division.units ?? 'mm');
  const [kilowatts, setKilowatts] = useState(String(machine.kilowatts));
  const list = numbers(speeds);
  const read = parseLength(division, units);
  const power = Number(kilowatts.replace(',', '.'));
  const problem =
    list.length === 0
      ? 'Speeds: at least one, in rev/min.'
      : !read.ok
        ? 'Division: a length such as 0.02 or .001.'
        : !(power > 0)
          ? 'Motor: more than zero kW.'
          : undefined;
  const save = () => {
    if (problem !== undefined) return;
    const value: Machine = {
      ...machine,
      name: name.trim() || machine.name,
      speeds: [...list].sort((a, b) => a - b),
      feeds: [...numbers(feeds)].sort((a, b) => a - b),
      kilowatts: power,
      assumed: [],
      dials: {
        ...machine.dials,
        cross: {
          ...(cross ?? { clockwise: 'in' as const, backlash: { text: '0', units }, travel: { text: '100', units: 'mm' as const } }),
          reads,
          division: { text: division, units },
        },
      },
    };
    onSave([{ op: 'put', at: `machines/#${machine.id}`, value }]);
    onClose();
  };
  return (
    <Modal show onHide={onClose} animation={false} aria-labelledby="lathe-title">
      <Form
        onSubmit={(e) => {
          e.preventDefault();
          save();
        }}>
        <Modal.Body className="d-grid gap-2">
          <h2 id="lathe-title">The lathe</h2>
          <p className="quiet m-0">
            Read these off the headstock and the cross-slide dial. Unsure what the dial reads: dial ten divisions, measure before and after.
          </p>
          <Form.Group controlId="lathe-name">
            <Form.Label className="m-0">Name</Form.Label>
            <Form.Control value={name} onChange={(e) => setName(e.target.value)} />
          </Form.Group>
          <Form.Group controlId="lathe-speeds">
            <Form.Label className="m-0">Speeds, rev/min</Form.Label>
            <Form.Control value={speeds} onChange={(e) => setSpeeds(e.target.value)} className="fig" />
          </Form.Group>
          <Form.Group controlId="lathe-feeds">
            <Form.Label className="m-0">Feeds, mm/rev (empty: by hand)</Form.Label>
            <Form.Control value={feeds} onChange={(e) => setFeeds(e.target.value)} className="fig" />
          </Form.Group>
          <div className="d-flex gap-2">
            <Form.Group controlId="lathe-reads">
              <Form.Label className="m-0">Cross dial reads</Form.Label>
              <Form.Select value={reads} onChange={(e) => setReads(e.target.value === 'radius' ? 'radius' : 'diameter')}>
                <option value="diameter">diameter</option>
                <option value="radius">radius</option>
              </Form.Select>
            </Form.Group>
            <Form.Group controlId="lathe-division">
              <Form.Label className="m-0">One division</Form.Label>
              <Form.Control value={division} onChange={(e) => setDivision(e.target.value)} className="fig" />
            </Form.Group>
            <Form.Group controlId="lathe-units">
              <Form.Label className="m-0">in</Form.Label>
              <Form.Select value={units} onChange={(e) => setUnits(e.target.value === 'in' ? 'in' : 'mm')}>
                <option value="mm">mm</option>
                <option value="in">inch</option>
              </Form.Select>
            </Form.Group>
            <Form.Group controlId="lathe-power">
              <Form.Label className="m-0">Motor, kW</Form.Label>
              <Form.Control value={kilowatts} onChange={(e) => setKilowatts(e.target.value)} className="fig" />
            </Form.Group>
          </div>
          {problem !== undefined && (
            <div className="out" role="alert">
              {problem}
            </div>
          )}
          <div className="d-flex gap-2 mt-2">
            <Button type="submit" disabled={problem !== undefined}>
              Keep
            </Button>
            <Button variant="outline-dark" onClick={onClose}>
              Cancel
            </Button>
          </div>
        </Modal.Body>
      </Form>
    </Modal>
  );
}
