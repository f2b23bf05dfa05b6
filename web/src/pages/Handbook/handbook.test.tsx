import { calculatorNamed, calculators } from '@obra/core/handbook';
import { fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { CalculatorPage } from './CalculatorPage';
import { cellOf, fillOf, fillState, writeCell } from '../../data/cellOfJob';
import { Contents } from './Contents';
import { SketchView } from './SketchView';

const threads = calculatorNamed('threads');
const points = calculatorNamed('drill-points');
if (!threads || !points) throw new Error('no calculator');

describe('the cell that one came from', () => {
  const cell = { job: 'sheave-axle', list: 'outside', row: 's2' } as const;

  it('goes along in the address and comes back the same', () => {
    expect(cellOf(new URLSearchParams({ for: writeCell(cell) }))).toEqual(cell);
  });

  it.each(['', 'a', 'a~b~c', '~outside~s2', 'a~outside~', 'a~outside'])('“%s” is none', (text) => {
    expect(cellOf(new URLSearchParams({ for: text }))).toBeUndefined();
  });

  it('hands over a text once, and nothing else is taken for one', () => {
    expect(fillOf(fillState(cell, '25 h6', 'mm'))).toEqual({ list: 'outside', row: 's2', text: '25 h6', units: 'mm' });
    for (const other of [
      null,
      undefined,
      'fill',
      { fill: { list: 'notes', row: 's2', text: 'x', units: 'mm' } },
      { fill: { ...fillState(cell, 'x'.repeat(300), 'mm').fill } },
    ])
      expect(fillOf(other)).toBeUndefined();
  });
});

describe('a figure', () => {
  it.each(calculators.map((c) => [c.id, c] as const))('%s stands in its box, the same across as up', (_, calculator) => {
    const answer = calculator.answer({}, 'mm');
    if (!answer.ok || !answer.sketch) return;
    const { container } = render(<SketchView sketch={answer.sketch} units="mm" />);
    const svg = container.querySelector('svg');
    const [x = 0, y = 0, wide = 0, high = 0] = svg?.getAttribute('viewBox')?.split(' ').map(Number) ?? [];
    expect(wide).toBeLessThanOrEqual(620);
    expect(high).toBeLessThanOrEqual(340);
    for (const c of container.querySelectorAll('circle')) {
      const [cx, cy, r] = ['cx', 'cy', 'r'].map((a) => Number(c.getAttribute(a)));
      expect((cx ?? 0) + (r ?? 0)).toBeLessThanOrEqual(x + wide + 0.01);
      expect((cy ?? 0) - (r ?? 0)).toBeGreaterThanOrEqual(y - 0.01);
    }
    for (const p of container.querySelectorAll('polygon, polyline'))
      for (const [px, py] of (p.getAttribute('points') ?? '').split(' ').map((pair) => pair.split(',').map(Number))) {
        expect(px).toBeGreaterThanOrEqual(x - 0.01);
        expect(py).toBeLessThanOrEqual(y + high + 0.01);
      }
    expect(container.textContent).not.toContain('NaN');
  });

  it('writes its sizes in the unit of the page', () => {
    const answer = points.answer({ d: '25.4', angle: '180', depth: '50.8' }, 'mm');
    if (!answer.ok || !answer.sketch) throw new Error('no figure');
    const { container, rerender } = render(<SketchView sketch={answer.sketch} units="mm" />);
    expect(container.textContent).toContain('Ø25.400 mm');
    rerender(<SketchView sketch={answer.sketch} units="in" />);
    expect(container.textContent).toContain('Ø1.0000 in');
  });
});

describe('the contents', () => {
  const marks = { pinned: ['wires', 'gone'], recent: ['tapers', 'wires', 'threads'] };
  const names = () => screen.getAllByRole('link').map((a) => a.textContent);

  it('begin with what is pinned and what was opened last; an id that is gone is left out', () => {
    render(<Contents marks={marks} here="threads" />, { wrapper: MemoryRouter });
    expect(
      screen
        .getAllByRole('heading')
        .map((h) => h.textContent)
        .slice(0, 3),
    ).toEqual(['Pinned', 'Opened last', 'Sizes and fits']);
    expect(names().slice(0, 2)).toEqual(['Over three wires', 'Taper from what is known']);
  });

  it.each([
    ['kienzle', ['Cutting force and power', 'Torque and thrust of a drill']],
    ['three wire', ['Over three wires']],
    ['xyzzy', []],
  ])('“%s” leaves %j', (text, left) => {
    render(<Contents marks={{ pinned: [], recent: [] }} />, { wrapper: MemoryRouter });
    fireEvent.change(screen.getByRole('textbox'), { target: { value: text } });
    expect(screen.queryAllByRole('link').map((a) => a.textContent)).toEqual(left);
  });
});

describe('a calculator', () => {
  const open = (address: string, calculator = threads, units: 'mm' | 'in' = 'mm') =>
    render(
      <MemoryRouter initialEntries={[address]}>
        <CalculatorPage calculator={calculator} shop={{}} units={units} pinned={false} onPin={() => undefined} cell={undefined} />
      </MemoryRouter>,
    );
  const slate = () => screen.getByRole('complementary', { name: 'Answer' });

  it('answers its address', () => {
    open('/handbook/threads?d=M6');
    expect(slate()).toHaveTextContent('pitch diameter, largest');
    expect(slate()).toHaveTextContent('Ø5.324 mm');
  });

  it('says what it did not understand, offers what may have been meant, and keeps the last that it could work out', () => {
    open('/handbook/threads?d=M6');
    fireEvent.change(screen.getByLabelText('Thread'), { target: { value: 'M6x9' } });
    expect(screen.getByLabelText('Thread')).toBeInvalid();
    expect(slate()).toHaveTextContent('Pitch 9 is too coarse for M6');
    expect(slate()).toHaveTextContent('the last that could be worked out');
    fireEvent.click(screen.getByRole('button', { name: 'M6x0.75' }));
    expect(screen.getByLabelText('Thread')).toHaveValue('M6x0.75');
    expect(slate()).not.toHaveTextContent('the last that could be worked out');
  });

  it('reads a bare length in the unit of the page', () => {
    open('/handbook/drill-points?d=.5&u=in&angle=90&depth=1', points, 'in');
    expect(slate()).toHaveTextContent('1.250 in');
    expect(screen.getByLabelText('Drill')).toHaveAccessibleDescription('.5000 in, 12.7 mm');
  });
});
