import { Dropdown } from 'react-bootstrap';
import { ask, spare, type Spare } from './spareColumns';

const words: Readonly<Record<Spare, string>> = { edges: 'edges', finish: 'finish', note: 'note' };

/** Which columns stand beside size and length; one that a row uses stays. */
export const Columns = ({ shown, used }: { readonly shown: readonly Spare[]; readonly used: readonly Spare[] }) => (
  <Dropdown align="end" className="text-end">
    <Dropdown.Toggle size="sm" variant="link" className="columns-toggle">
      columns
    </Dropdown.Toggle>
    <Dropdown.Menu>
      {spare.map((s) => (
        <Dropdown.Item
          as="button"
          key={s}
          role="menuitemcheckbox"
          aria-checked={shown.includes(s)}
          disabled={used.includes(s)}
          onClick={() => ask(s, !shown.includes(s))}>
          {shown.includes(s) ? '✓ ' : ''}
          {words[s]}
          {used.includes(s) ? ', in use' : ''}
        </Dropdown.Item>
      ))}
    </Dropdown.Menu>
  </Dropdown>
);
