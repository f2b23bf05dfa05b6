/* DXF in: files written by hand of each kind of entity, and files of another general library (dxf-writer). */
import DxfWriter from 'dxf-writer';
import { writeSentence } from '../quantity';
import { arc, file, holes, line, poly, read, rows, stepped } from './dxfText.fixture';
import { readDxf } from './readDxf';

describe('entities written by hand', () => {
  it('LINE: an open half profile', () => {
    expect(rows(read(file(stepped)))).toEqual(['20 x 10', '30 x 25']);
  });

  it('LINE in any order and direction', () => {
    const pieces = [line(25, 10, 25, 15), line(35, 0, 35, 10), line(25, 15, 0, 15), line(0, 15, 0, 0), line(35, 10, 25, 10)];
    expect(rows(read(file(pieces.flat())))).toEqual(['20 x 10', '30 x 25']);
  });

  it('a closed half profile, and a full outline with its axis found by symmetry', () => {
    expect(rows(read(file([...stepped, ...line(0, 0, 35, 0)])))).toEqual(['20 x 10', '30 x 25']);
    const full = poly([
      [0, 85],
      [25, 85],
      [25, 90],
      [35, 90],
      [35, 110],
      [25, 110],
      [25, 115],
      [0, 115],
    ]);
    const made = read(file(full));
    expect(made.axis).toMatchObject({ along: 'x', at: 100 });
    expect(rows(made)).toEqual(['20 x 10', '30 x 25']);
  });

  it('a part that stands upright: its top is the right-hand end', () => {
    expect(
      rows(
        read(
          file(
            poly([
              [-15, 0],
              [15, 0],
              [15, 25],
              [10, 25],
              [10, 35],
              [-10, 35],
              [-10, 25],
              [-15, 25],
            ]),
          ),
        ),
      ),
    ).toEqual(['20 x 10', '30 x 25']);
  });

  it('ARC: a fillet, a rounded corner and a ball end', () => {
    const made = read(
      file([
        ...line(0, 0, 0, 15),
        ...line(0, 15, 23, 15),
        ...arc(23, 13, 2, 0, 90),
        ...line(25, 13, 25, 12),
        ...arc(27, 12, 2, 180, 270),
        ...line(27, 10, 50, 10),
        ...arc(50, 0, 10, 0, 90),
      ]),
    );
    expect(rows(made)).toEqual(['R10 20 x 35 R2', 'R2 30 x 25']);
    expect(made.off).toBeLessThan(1e-3);
    expect(rows(read(file([...arc(-10, 0, 10, 0, 180)])))).toEqual(['ball 20 x 20']);
  });

  it('CIRCLE on its axis is a ball', () => {
    expect(rows(read(file(['0', 'CIRCLE', '8', '0', 10, 5, 20, 7, 40, 10])))).toEqual(['ball 20 x 20']);
  });

  it('LWPOLYLINE with bulges, POLYLINE with vertices', () => {
    expect(
      rows(
        read(
          file(
            poly([
              [0, 0],
              [30, 0, Math.tan(Math.PI / 8)],
              [20, 10],
              [0, 10],
            ]),
          ),
        ),
      ),
    ).toEqual(['R10 20 x 30']);
    const vertices = (
      [
        [0, 0],
        [30, 0],
        [30, 10],
        [0, 10],
      ] as const
    ).flatMap(([x, y]) => ['0', 'VERTEX', '8', '0', 10, x, 20, y]);
    expect(rows(read(file(['0', 'POLYLINE', '8', '0', 66, 1, 70, 1, ...vertices, '0', 'SEQEND'])))).toEqual(['20 x 30']);
  });

  it('a bore through and from each end', () => {
    expect(
      read(
        file(
          poly([
            [0, 5],
            [30, 5],
            [30, 10],
            [0, 10],
          ]),
        ),
      ).drawing.boreRight,
    ).toMatchObject([{ size: { text: '10' }, length: { text: 'through' } }]);
    const both = read(
      file(
        poly([
          [0, 4],
          [10, 4],
          [10, 0],
          [20, 0],
          [20, 3],
          [30, 3],
          [30, 10],
          [0, 10],
        ]),
      ),
    );
    expect([holes(both.drawing.boreRight), holes(both.drawing.boreLeft)]).toEqual([['6 x 10 flat'], ['8 x 10 flat']]);
    const pointed = read(
      file(
        poly([
          [0, 0],
          [18, 0],
          [20, 3],
          [30, 3],
          [30, 10],
          [0, 10],
        ]),
      ),
    );
    expect(holes(pointed.drawing.boreRight)).toEqual(['6 x 10 112.61986495']);
    expect(rows(both)).toEqual(['20 x 30']);
  });

  it('the header’s unit: inches, centimetres; and what is assumed without one is said', () => {
    const inch = poly([
      [0, 0],
      [1.5, 0],
      [1.5, 0.375],
      [0, 0.375],
    ]);
    const made = read(file(inch, { units: 1 }), 'in');
    expect(made.drawing.outside[0]).toMatchObject({ size: { text: '0.75', units: 'in' }, length: { text: '1.5', units: 'in' } });
    expect(rows(read(file(inch, { units: 5 })))).toEqual(['7.5 x 15']);
    expect(
      read(file(inch))
        .leftOut.map((s) => writeSentence(s, 'mm'))
        .join(' '),
    ).toContain('does not say its unit');
  });

  it('blocks taken apart: moved, scaled, turned and mirrored, one in another', () => {
    const block = (name: string, inside: readonly (string | number)[]) => ['0', 'BLOCK', '8', '0', '2', name, 10, 0, 20, 0, ...inside, '0', 'ENDBLK'];
    const insert = (name: string, x: number, y: number, sx = 1, sy = 1, turn = 0) => [
      '0',
      'INSERT',
      '8',
      '0',
      '2',
      name,
      10,
      x,
      20,
      y,
      41,
      sx,
      42,
      sy,
      50,
      turn,
    ];
    const inner = block('PIN', stepped);
    expect(rows(read(file(insert('PIN', 100, 0), { blocks: inner })))).toEqual(['20 x 10', '30 x 25']);
    expect(rows(read(file(insert('PIN', 0, 0, 2, 2), { blocks: inner })))).toEqual(['40 x 20', '60 x 50']);
    expect(rows(read(file(insert('PIN', 0, 0, -1, 1), { blocks: inner })))).toEqual(['30 x 25', '20 x 10']);
    expect(rows(read(file(insert('PIN', 0, 0, 1, 1, 90), { blocks: inner })))).toEqual(['20 x 10', '30 x 25']);
    expect(rows(read(file(insert('TWO', 5, 0), { blocks: [...inner, ...block('TWO', insert('PIN', 7, 0))] })))).toEqual(['20 x 10', '30 x 25']);
  });

  it('a centre line names the axis, and another may be chosen', () => {
    const made = read(
      file([
        ...poly([
          [0, 12],
          [30, 12],
          [30, 20],
          [0, 20],
        ]),
        ...line(-5, 2, 35, 2, 'CENTRE'),
      ]),
    );
    expect(made.axis).toMatchObject({ along: 'x', at: 2 });
    expect([rows(made), holes(made.drawing.boreRight)]).toEqual([['36 x 30'], ['20 x through']]);
    const other = readDxf(
      file([
        ...poly([
          [0, 12],
          [30, 12],
          [30, 20],
          [0, 20],
        ]),
        ...line(-5, 2, 35, 2, 'CENTRE'),
      ]),
      { units: 'mm', axis: { along: 'x', at: 12 } },
    );
    expect(other.ok && rows(other)).toEqual(['16 x 30']);
  });

  it('what is no outline is counted: text, splines, loose lines', () => {
    const made = read(
      file([...stepped, '0', 'TEXT', '8', '0', 10, 0, 20, 0, 40, 2, '1', 'pin', '0', 'SPLINE', '8', '0', 70, 8, ...line(100, 40, 110, 44)]),
    );
    const said = made.leftOut.map((s) => writeSentence(s, 'mm'));
    expect(said).toEqual(expect.arrayContaining(['1 × text', '1 × spline through points only', '1 lines or arcs that join no outline']));
    expect(rows(made)).toEqual(['20 x 10', '30 x 25']);
  });

  it('an outline that undercuts itself says how far the rows are off', () => {
    const hook = poly([
      [0, 0],
      [30, 0],
      [30, 10],
      [20, 10],
      [24, 6],
      [14, 6],
      [14, 10],
      [0, 10],
    ]);
    const made = read(file(hook));
    expect(made.off).toBeGreaterThan(0.5);
    expect(made.leftOut.map((s) => writeSentence(s, 'mm')).join(' ')).toContain('not a row that is known here');
  });
});

describe('files of another general library', () => {
  it('lines, arcs and polylines of dxf-writer', () => {
    const d = new DxfWriter();
    d.setUnits('Millimeters');
    d.drawLine(0, 0, 0, 15).drawLine(0, 15, 25, 15).drawLine(25, 15, 25, 10).drawLine(25, 10, 33, 10);
    d.drawArc(33, 8, 2, 0, 90).drawLine(35, 8, 35, 0);
    d.drawText(3, 30, 4, 0, 'pin');
    expect(rows(read(d.toDxfString()))).toEqual(['R2 20 x 10', '30 x 25']);
    const p = new DxfWriter();
    p.setUnits('Inches');
    p.drawPolyline(
      [
        [0, 0],
        [2, 0],
        [2, 0.5],
        [0, 0.5],
      ],
      true,
    );
    expect(read(p.toDxfString(), 'in').drawing.outside).toMatchObject([{ size: { text: '1' }, length: { text: '2' } }]);
    const c = new DxfWriter();
    c.drawCircle(0, 0, 8);
    expect(rows(read(c.toDxfString()))).toEqual(['ball 16 x 16']);
  });
});
