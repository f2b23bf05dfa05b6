import { applyEdits } from './applyEdits';

const job = {
  name: 'pin',
  drawing: {
    outside: [
      { id: 'a', size: '20' },
      { id: 'b', size: '25' },
    ],
    care: {} as Record<string, string>,
  },
};
const ids = (of: typeof job) => of.drawing.outside.map((r) => r.id);

describe('edits', () => {
  it('put a value at a path that names list members by id', () => {
    expect(applyEdits(job, [{ op: 'put', at: 'drawing/outside/#b/size', value: '26' }]).drawing.outside[1]?.size).toBe('26');
    expect(applyEdits(job, [{ op: 'put', at: 'name', value: 'axle' }]).name).toBe('axle');
    expect(applyEdits(job, [{ op: 'put', at: 'drawing/care/a.diameter', value: 'byEye' }]).drawing.care['a.diameter']).toBe('byEye');
  });

  it('add, place, move and remove list members', () => {
    const added = applyEdits(job, [{ op: 'put', at: 'drawing/outside/#c', value: { id: 'c', size: '1' }, before: 'b' }]);
    expect(ids(added)).toEqual(['a', 'c', 'b']);
    expect(ids(applyEdits(added, [{ op: 'put', at: 'drawing/outside/#b', value: { id: 'b', size: '25' }, before: 'a' }]))).toEqual(['b', 'a', 'c']);
    expect(ids(applyEdits(added, [{ op: 'remove', at: 'drawing/outside/#a' }]))).toEqual(['c', 'b']);
    expect(ids(applyEdits(job, [{ op: 'put', at: 'drawing/outside/#d', value: { id: 'd', size: '9' }, before: 'gone' }]))).toEqual(['a', 'b', 'd']);
  });

  it('leave the original alone and share what did not change', () => {
    const after = applyEdits(job, [{ op: 'put', at: 'drawing/outside/#a/size', value: '21' }]);
    expect(job.drawing.outside[0]?.size).toBe('20');
    expect(after.drawing.outside[1]).toBe(job.drawing.outside[1]);
  });

  it('leave out what leads nowhere or into the language itself', () => {
    expect(applyEdits(job, [{ op: 'put', at: 'drawing/outside/#z/size', value: '1' }])).toEqual(job);
    expect(applyEdits(job, [{ op: 'put', at: 'drawing/outside/0/size', value: '1' }])).toEqual(job);
    expect(
      applyEdits(job, [
        { op: 'put', at: '__proto__/polluted', value: true },
        { op: 'put', at: 'drawing/constructor', value: 1 },
      ]),
    ).toEqual(job);
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
    expect(applyEdits(job, [{ op: 'remove', at: 'drawing/outside/#z' }])).toEqual(job);
  });
});
