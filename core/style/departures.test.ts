import { TEMPLATES } from '../proportion/templates';
import { departuresOf, MeasuredFigures } from './departures';

const face = TEMPLATES['face-front'];

/** A face as nature has it, its heights and widths then multiplied place by place. */
function natural(change: (name: string, x: number, y: number) => [number, number] = (_, x, y) => [x, y]): Record<string, [number, number]> {
  const at: Record<string, [number, number]> = {
    crown: [0, 0],
    hairline: [0, 100],
    'brow-left': [-100, 400],
    'brow-right': [100, 400],
    'eye-left-outer': [-201, 500],
    'eye-left-inner': [-67, 500],
    'eye-right-inner': [67, 500],
    'eye-right-outer': [201, 500],
    'nose-left': [-67, 700],
    'nose-right': [67, 700],
    'nose-base': [0, 700],
    'mouth-centre': [0, 800],
    chin: [0, 1000],
    'face-left': [-335, 500],
    'face-right': [335, 500],
  };
  return Object.fromEntries(Object.entries(at).map(([n, [x, y]]) => [n, change(n, x, y)]));
}

const work = (...sets: Record<string, [number, number]>[]): MeasuredFigures => ({ sets, frame: null });
/** Eyes set at another height, by a share of the head. */
const eyesAt = (share: number) => natural((n, x, y) => [x, n.startsWith('eye') ? 1000 * share : y]);
const of = (name: string, works: readonly MeasuredFigures[]) => departuresOf(face, works).find((d) => d.name === name)!;

describe('departures of a hand from nature', () => {
  test('nature itself departs in nothing', () => {
    const all = departuresOf(face, [work(natural()), work(natural()), work(natural())]);
    expect(all.length).toBeGreaterThan(6);
    expect(all.filter((d) => d.sure !== 'open')).toEqual([]);
  });

  test('eyes set high in every work are told first and clearly, with range, number of works and times', () => {
    const works = [work(eyesAt(0.38)), work(eyesAt(0.4)), work(eyesAt(0.42))];
    const [first] = departuresOf(face, works);
    expect(first).toMatchObject({ name: 'eye-line', works: 3, figures: 3, nature: 0.5, pair: false, sure: 'clear' });
    expect(first.low).toBeCloseTo(0.38, 9);
    expect(first.high).toBeCloseTo(0.42, 9);
    expect(first.times).toBeCloseTo(Math.cbrt(0.38 * 0.4 * 0.42) / 0.5, 9);
  });

  test('several figures of one work count as one between them, and a work more makes it surer', () => {
    const one = of('eye-line', [work(eyesAt(0.45), eyesAt(0.45), eyesAt(0.45))]);
    expect(one).toMatchObject({ works: 1, figures: 3 });
    expect(one.chance).toBeGreaterThan(of('eye-line', [work(eyesAt(0.45)), work(eyesAt(0.45)), work(eyesAt(0.45))]).chance);
    const uneven = of('eye-line', [work(eyesAt(0.4), eyesAt(0.4), eyesAt(0.4)), work(eyesAt(0.5))]);
    expect(uneven.mid).toBeCloseTo(Math.sqrt(0.4 * 0.5), 9);
  });

  test('works that disagree leave open what their mean alone would tell', () => {
    const apart = of('eye-line', [work(eyesAt(0.3)), work(eyesAt(0.62))]);
    const together = of('eye-line', [work(eyesAt(0.43)), work(eyesAt(0.43))]);
    expect(apart.sure).toBe('open');
    expect(together.chance).toBeLessThan(apart.chance);
  });

  test('a pair is held against two equal sides, a tilt in degrees', () => {
    const wide = () => natural((n, x, y) => [n === 'eye-left-outer' ? -260 : x, n.startsWith('eye-right') ? 440 : y]);
    const works = [work(wide()), work(wide()), work(wide())];
    expect(of('eye-width-pair', works)).toMatchObject({ pair: true, nature: 1, sure: 'clear' });
    expect(of('eye-width-pair', works).mid).toBeCloseTo(193 / 134, 9);
    expect(of('eye-tilt', works)).toMatchObject({ pair: true, nature: 0, times: null, sure: 'clear' });
    expect(of('eye-tilt', works).mid).toBeCloseTo((Math.atan2(60, 461) * 180) / Math.PI, 9);
  });

  test('a measure whose points are nowhere placed is not told', () => {
    expect(departuresOf(face, [work({ crown: [0, 0], chin: [0, 10] })]).map((d) => d.name)).toEqual([]);
    expect(departuresOf(face, [])).toEqual([]);
  });
});
