import { zodResolver } from '@hookform/resolvers/zod';
import type { Machine } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import { Button, Form, Modal } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import * as z from 'zod';
import { FormField } from './FormField';
import { aNumber, lengthText, numbers, speeds as speedsOf } from './grammar';

interface Props {
  readonly machine: Machine;
  readonly onSave: (edits: readonly Edit[]) => void;
  readonly onClose: () => void;
}

const Typed = z.object({
  name: z.string(),
  speeds: speedsOf('Speeds, in rev/min'),
  feeds: numbers('Feeds, in mm/rev'),
  reads: z.enum(['diameter', 'radius']),
  division: lengthText('Division'),
  units: z.enum(['mm', 'in']),
  kilowatts: aNumber('Motor', 'more than zero kW'),
});

/** The lathe as it stands: what is assumed is confirmed or changed here, when it is first used. */
export function LatheEditor({ machine, onSave, onClose }: Props) {
  const { cross } = machine.dials;
  const {
    register,
    handleSubmit,
    formState: { errors },
  } = useForm({
    resolver: zodResolver(Typed),
    mode: 'onTouched',
    defaultValues: {
      name: machine.name,
      speeds: textOf(machine.speeds),
      feeds: machine.feeds.join(' '),
      reads: cross?.reads === 'radius' ? ('radius' as const) : ('diameter' as const),
      division: cross?.division.text ?? '0.02',
      units: cross?.division.units ?? 'mm',
      kilowatts: String(machine.kilowatts),
    },
  });
  const save = ({ name, speeds, feeds, reads, division, units, kilowatts }: z.output<typeof Typed>) => {
    const value: Machine = {
      ...machine,
      name: name.trim() || machine.name,
      speeds: 'from' in speeds ? speeds : [...speeds],
      feeds: [...feeds],
      kilowatts,
      assumed: [],
      dials: {
        ...machine.dials,
        cross: {
          ...(cross ?? { clockwise: 'in' as const, backlash: { text: '0', units }, travel: { text: '100', units: 'mm' } }),
          reads,
          division: { text: division.trim(), units },
        },
      },
    };
    onSave([{ op: 'put', at: `machines/#${machine.id}`, value }]);
    onClose();
  };
  return (
    <Modal show onHide={onClose} animation={false} aria-labelledby="lathe-title">
      <Form noValidate onSubmit={(e) => void handleSubmit(save)(e)}>
        <Modal.Body className="d-grid gap-2">
          <h2 id="lathe-title">The lathe</h2>
          <p className="quiet m-0">
            Read these off the headstock and the cross-slide dial. Unsure what the dial reads: dial ten divisions, measure before and after.
          </p>
          <FormField id="lathe-name" label="Name" className="" of={register('name')} error={errors.name} />
          <FormField id="lathe-speeds" label="Speeds, rev/min" of={register('speeds')} error={errors.speeds} />
          <FormField id="lathe-feeds" label="Feeds, mm/rev (empty: by hand)" of={register('feeds')} error={errors.feeds} />
          <div className="d-grid gap-2" style={{ gridTemplateColumns: '132px minmax(0, 1fr) 92px minmax(0, 1fr)' }}>
            <Form.Group controlId="lathe-reads">
              <Form.Label className="m-0">Cross dial reads</Form.Label>
              <Form.Select {...register('reads')}>
                <option value="diameter">diameter</option>
                <option value="radius">radius</option>
              </Form.Select>
            </Form.Group>
            <FormField id="lathe-division" label="One division" of={register('division')} error={errors.division} />
            <Form.Group controlId="lathe-units">
              <Form.Label className="m-0">in</Form.Label>
              <Form.Select {...register('units')}>
                <option value="mm">mm</option>
                <option value="in">inch</option>
              </Form.Select>
            </Form.Group>
            <FormField id="lathe-power" label="Motor, kW" of={register('kilowatts')} error={errors.kilowatts} />
          </div>
          <div className="d-flex gap-2 mt-2">
            <Button type="submit">Keep</Button>
            <Button variant="outline-dark" onClick={onClose}>
              Cancel
            </Button>
          </div>
        </Modal.Body>
      </Form>
    </Modal>
  );
}

const textOf = (speeds: Machine['speeds']): string => ('from' in speeds ? `${String(speeds.from)} - ${String(speeds.to)}` : speeds.join(' '));
