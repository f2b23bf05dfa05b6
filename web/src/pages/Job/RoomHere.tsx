import { REFERENCE } from '@obra/core/quantity';
import type { Units } from '@obra/core/quantity';
import { Button, Form } from 'react-bootstrap';
import { sayRoom, sayWho, useAtHand } from '../../data/atHand';
import { SpeakingGauges } from '../../instruments';
import { Warmth } from '../../fields';
import { howWarm, theRoom, whoMeasures } from '../../words/found';

interface Props {
  readonly units: Units;
  readonly onClose: () => void;
}

/** Who measures, and how warm the room is: it holds for every reading from now on, the room for a working day. */
export function RoomHere({ units, onClose }: Props) {
  const { typed, room } = useAtHand();
  return (
    <Form
      className="note-here"
      aria-label="Who and room"
      onSubmit={(e) => {
        e.preventDefault();
        onClose();
      }}
      onKeyDown={(e) => e.key === 'Escape' && onClose()}>
      <div className="d-flex gap-3 flex-wrap align-items-end">
        <label>
          <span className="quiet d-block">{whoMeasures}</span>
          <Form.Control
            className="wide-150"
            aria-label={whoMeasures}
            autoFocus
            value={typed}
            maxLength={60}
            onChange={(e) => sayWho(e.target.value)}
          />
        </label>
        <div>
          <span className="quiet d-block">{theRoom}</span>
          <Warmth label={howWarm} celsius={room ?? REFERENCE} units={units} onChange={sayRoom} />
        </div>
        <Button type="submit" variant="light" className="tall-48">
          close
        </Button>
        {room !== undefined && (
          <Button variant="outline-light" className="tall-48" onClick={() => sayRoom(undefined)}>
            20 °C again
          </Button>
        )}
      </div>
      <div className="mt-2">
        <SpeakingGauges />
      </div>
      <p className="quiet m-0 mt-2 size-16">
        A piece is taken to be as warm as the room until you say otherwise. Steel and its gauge shrink alike in a cold shop; aluminium, bronze and
        plastics do not, and their readings are corrected for both.
      </p>
    </Form>
  );
}
