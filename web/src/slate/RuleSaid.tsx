import { type Reason, rules } from '@obra/core/finding';
import type { Units } from '@obra/core/quantity';
import { Button, Modal } from 'react-bootstrap';
import { sentenceCase } from './sentenceCase';
import { Said } from './Said';
import { named } from './ruleName';

/** A rule of the trade, and what it says here. */
export function RuleSaid({
  reason,
  units,
  onClose,
}: {
  readonly reason: Pick<Reason, 'rule' | 'says'>;
  readonly units: Units;
  readonly onClose: () => void;
}) {
  return (
    <Modal show onHide={onClose} animation={false} aria-label={named(reason.rule)}>
      <Modal.Body>
        <h2 className="size-18">{sentenceCase(named(reason.rule))}</h2>
        <p>{sentenceCase(rules[reason.rule])}.</p>
        <p>
          Here: <Said sentence={reason.says} units={units} words />
        </p>
        <div className="d-flex gap-2 align-items-center">
          <span className="quiet size-14">common practice, as turners hold it</span>
          <Button variant="outline-dark" className="ms-auto" onClick={onClose}>
            close
          </Button>
        </div>
      </Modal.Body>
    </Modal>
  );
}
