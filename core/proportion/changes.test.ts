import { changesFrom } from './changes';
import { TEMPLATES } from './templates';

const SIZE = 600;
/** A face as the template itself guesses it, so large. */
const face = (): Record<string, [number, number]> =>
  Object.fromEntries(TEMPLATES['face-front'].points.map((p) => [p.name, [100 + 400 * p.at[0], 50 + SIZE * p.at[1]]]));

describe('what was changed against what stood model', () => {
  test('nothing in the same points, larger, turned or a hair beside: that is no more than placing', () => {
    const model = face();
    const [cos, sin] = [Math.cos(0.3), Math.sin(0.3)];
    const work = Object.fromEntries(
      Object.entries(model).map(([n, [x, y]]): [string, [number, number]] => [n, [1.7 * (cos * x - sin * y), 1.7 * (sin * x + cos * y)]]),
    );
    expect(changesFrom('face-front', model, work).filter((c) => c.unit === 'ratio')).toEqual([]);
    const beside = Object.fromEntries(Object.entries(model).map(([n, [x, y]], i): [string, [number, number]] => [n, [x + (i % 2), y]]));
    expect(changesFrom('face-front', model, beside)).toEqual([]);
  });

  test('a neck half as wide is told with both values and how many times, and comes first', () => {
    const model = face();
    const work = { ...model };
    const middle = (model['neck-left'][0] + model['neck-right'][0]) / 2;
    for (const n of ['neck-left', 'neck-right']) work[n] = [middle + (model[n][0] - middle) / 2, model[n][1]];
    const [first, ...rest] = changesFrom('face-front', model, work);
    expect(first).toMatchObject({ measure: 'neck-width', unit: 'ratio' });
    expect(first.times).toBeCloseTo(0.5, 6);
    expect(first.to).toBeCloseTo(first.from / 2, 6);
    expect(first.sure).toBeGreaterThan(10);
    expect(rest.map((c) => c.measure)).toEqual([]);
  });

  test('a tilted head is told in degrees, not as times; the larger change is not the surer one', () => {
    const model = face();
    const work = { ...model };
    work['mouth-left'] = [model['mouth-left'][0], model['mouth-left'][1] - 12];
    work['mouth-right'] = [model['mouth-right'][0], model['mouth-right'][1] + 12];
    const told = changesFrom('face-front', model, work);
    const tilt = told.find((c) => c.unit === 'degrees')!;
    expect(tilt.times).toBeNull();
    expect(Math.abs(tilt.to - tilt.from)).toBeGreaterThan(5);
    expect(told.map((c) => c.sure)).toEqual([...told.map((c) => c.sure)].sort((a, b) => b - a));
  });

  test('measures whose points are missing on either side are left out', () => {
    const { crown: _crown, ...model } = face();
    expect(changesFrom('face-front', model, { ...face(), chin: [300, 900] }).map((c) => c.measure)).not.toContain('eye-line');
    expect(changesFrom('face-front', {}, face())).toEqual([]);
  });
});
