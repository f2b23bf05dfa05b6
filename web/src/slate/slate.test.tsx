import type { Finding } from '@obra/core/finding';
import { figure, length, say } from '@obra/core/quantity';
import { startingShop } from '@obra/core/shop';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { VERSION } from '../app/version';
import { TheLathe, sizeSaid } from '../fields';
import { Checks, FigureNumber, Said } from './index';

const rule = { text: 'ISO 2768-m', units: 'mm' as const };

describe('a number shown', () => {
  const speed = figure('spindleSpeed', 'spindleSpeed', { v: 30, d: 25, most: 2000, speeds: [100, 250, 500] });

  it('opens its formula, the values put in and the source', async () => {
    render(<FigureNumber figure={speed} units="mm" />);
    fireEvent.click(screen.getByRole('button', { name: '250' }));
    const card = await screen.findByRole('dialog', {}, { timeout: 5000 });
    expect(card).toHaveTextContent('1000 v / (pi d)');
    expect(card).toHaveTextContent('30 m/min');
    expect(card).toHaveTextContent('100 250 500');
    expect(card).toHaveTextContent('definition of cutting speed');
  });

  it('shows the same value in the unit of the page', () => {
    const { rerender } = render(<FigureNumber figure={figure('length', 'distance', { value: 25.4 })} units="mm" withUnit />);
    expect(screen.getByRole('button')).toHaveTextContent('25.4 mm');
    rerender(<FigureNumber figure={figure('length', 'distance', { value: 25.4 })} units="in" withUnit />);
    expect(screen.getByRole('button')).toHaveTextContent('1 in');
  });
});

describe('a sentence', () => {
  it('lets what was computed in it open its formula; the rest is words', () => {
    const sentence = say`cut ${length(2)} deep: power allows ${figure('length', 'distance', { value: 3.5 })}, not spring`;
    render(
      <p>
        <Said sentence={sentence} units="mm" />
      </p>,
    );
    expect(screen.getByRole('paragraph')).toHaveTextContent('cut 2 mm deep: power allows 3.5 mm, not spring');
    expect(screen.getByRole('button').parentElement).toHaveTextContent(/^3\.5 mm,$/);
    expect(screen.getAllByRole('button').map((b) => b.textContent)).toEqual(['3.5 mm']);
  });
});

describe('checks', () => {
  const one = (code: Finding['code'], severity: Finding['severity'], mends: Finding['mends'] = []): Finding => ({
    code,
    about: 'a',
    severity,
    says: [`${code} says`],
    why: ['why'],
    mends,
  });

  it('stand the gravest first, and a fix is one press', () => {
    const apply = jest.fn();
    const edits = [{ op: 'remove' as const, at: 'choices/#x' }];
    render(
      <Checks
        findings={[one('near-jaws', 'note'), one('not-made', 'stop', [{ says: ['let it go'], to: 'job', edits }]), one('edges-sharp', 'caution')]}
        units="mm"
        apply={apply}
      />,
    );
    expect(screen.getAllByRole('listitem').map((li) => li.dataset['code'])).toEqual(['not-made', 'edges-sharp', 'near-jaws']);
    fireEvent.click(screen.getByRole('button', { name: 'let it go' }));
    expect(apply).toHaveBeenCalledWith(edits, 'job');
    expect(screen.getByRole('img', { name: 'stop' })).toBeInTheDocument();
  });

  it('are nothing when there is nothing to say', () => {
    const { container } = render(<Checks findings={[]} units="mm" apply={undefined} />);
    expect(container).toBeEmptyDOMElement();
  });
});

describe('what a size cell understood', () => {
  it.each([
    ['25 h6', 'mm', 'mm', '24.987 to 25.000 (.9837 to .9843 in)', false],
    ['13/16', 'mm', 'in', '.813 in (20.64 mm)', false],
    ['25', 'mm', 'mm', '25 mm (63/64 in)', false],
    ['M12', 'mm', 'in', 'M12x1.75-6g', false],
    ['', 'mm', 'mm', 'no size yet', false],
    ['round', 'mm', 'mm', '“round” is not a size; write 25, 25 h6, 13/16, .548 -.002 or M12x1.5', true],
    ['hex 17', 'mm', 'mm', 'hexagon 17 mm (.669 in)', false],
    ['20 > 15', 'mm', 'mm', 'taper', false],
    ['ball 20', 'mm', 'mm', 'ball 20 mm (.787 in)', false],
    ['20 > 15 R30 hollow', 'mm', 'mm', '20 to 15, radius 30 hollow', false],
  ] as const)('%s typed in %s, shown in %s', (text, typed, shown, said, bad) => {
    expect(sizeSaid(text, typed, rule, shown)).toEqual({ text: said, bad });
  });
});

describe('the lathe as it stands', () => {
  const [machine] = startingShop().machines;
  if (!machine) throw new Error('no lathe');

  const editor = async (of: typeof machine = machine) => {
    const [save, close] = [jest.fn(), jest.fn()];
    render(<TheLathe machine={of} onSave={save} onClose={close} />);
    await screen.findByLabelText('Name');
    const type = (label: string, text: string) => fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
    const keep = () => fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
    return { save, close, type, keep };
  };
  const savedBy = (save: jest.Mock) => (save.mock.calls[0] as [[{ value: typeof machine }]])[0][0].value;

  it('is confirmed with its own speeds, in order, and no longer assumed', async () => {
    const { save, type, keep } = await editor();
    type('Speeds, rev/min', '900 60; 300');
    type('Cross dial reads', 'radius');
    keep();
    await waitFor(() => expect(save).toHaveBeenCalled());
    expect(savedBy(save)).toMatchObject({ speeds: [60, 300, 900], assumed: [], dials: { cross: { reads: 'radius' } } });
  });

  it('without steps keeps its two ends', async () => {
    const { save, type, keep } = await editor({ ...machine, speeds: { from: 60, to: 2000 } });
    expect(screen.getByLabelText('Speeds, rev/min')).toHaveValue('60 - 2000');
    type('Speeds, rev/min', '80 - 1800');
    keep();
    await waitFor(() => expect(save).toHaveBeenCalled());
    expect(savedBy(save).speeds).toEqual({ from: 80, to: 1800 });
  });

  it.each([
    ['Speeds, rev/min', 'fast', 'Speeds, in rev/min: “fast” is no number above zero'],
    ['Speeds, rev/min', '', 'Speeds, in rev/min: at least one'],
    ['Feeds, mm/rev (empty: by hand)', '0.1 -2', 'Feeds, in mm/rev: “-2” is no number above zero'],
    ['One division', 'fine', 'Division: a length'],
    ['Motor, kW', '-1', 'Motor: more than zero'],
    ['Motor, kW', '1e99', 'Motor: more than zero'],
  ])('%s: “%s” is refused with a sentence at its cell, and nothing that was typed is lost', async (label, text, says) => {
    const { save, close, type, keep } = await editor();
    type(label, text);
    keep();
    expect(await screen.findByRole('alert')).toHaveTextContent(says);
    expect(screen.getByLabelText(label)).toHaveFocus();
    expect(screen.getByLabelText(label)).toHaveValue(text);
    expect(save).not.toHaveBeenCalled();
    expect(close).not.toHaveBeenCalled();
  });
});

it('the version given out is that of the package', () => {
  const { version } = JSON.parse(readFileSync(join(__dirname, '..', '..', '..', 'package.json'), 'utf8')) as { version: string };
  expect(VERSION).toBe(version);
});
