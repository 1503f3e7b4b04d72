import { nearLines, standsOf, unitOf } from './plumb';
import { TEMPLATES } from './templates';

const face = TEMPLATES['face-front'];
const POINTS = {
  crown: [100, 0],
  chin: [100, 200],
  'pupil-left': [60, 100],
  'pupil-right': [140, 100],
  'mouth-left': [52, 160],
  'mouth-right': [130, 160],
  'nose-base': [102, 140],
  'brow-left': [60, 80],
  'ear-left-top': [0, 86],
} as const satisfies Record<string, readonly [number, number]>;

describe('what stands under and level with what', () => {
  test('is told in heads, inside or outside of the pair', () => {
    const stands = standsOf(face, POINTS);
    const of = (point: string) => stands.find((s) => s.point === point)!;
    // 8 px to the left of the left pupil, of a head of 200 px: 0.04 heads outside.
    expect(of('mouth-left')).toMatchObject({ of: 'pupil-left', as: 'under', toward: 'outside' });
    expect(of('mouth-left').off).toBeCloseTo(-0.04, 12);
    expect(of('mouth-right')).toMatchObject({ toward: 'inside' });
    expect(of('mouth-right').off).toBeCloseTo(-0.05, 12);
    expect(of('ear-left-top')).toMatchObject({ of: 'brow-left', as: 'level', toward: null });
    expect(of('ear-left-top').off).toBeCloseTo(0.03, 12);
    expect(stands.map((s) => s.point)).not.toContain('nose-left');
  });

  test('stays as it is when the picture is larger, and turns inside out for neither side when mirrored', () => {
    const moved = (by: (p: readonly [number, number]) => [number, number], swap = false) =>
      Object.fromEntries(
        Object.entries(POINTS).map(([n, p]) => [swap ? n.replace(/left|right/, (side) => (side === 'left' ? 'right' : 'left')) : n, by(p)]),
      );
    const larger = standsOf(
      face,
      moved(([x, y]) => [3 * x + 7, 3 * y - 2]),
    );
    standsOf(face, POINTS).forEach((s, i) => {
      expect(larger[i].off).toBeCloseTo(s.off, 12);
      expect(larger[i].toward).toBe(s.toward);
    });
    const mirrored = standsOf(
      face,
      moved(([x, y]) => [-x, y], true),
    );
    expect(mirrored.find((s) => s.point === 'mouth-right')).toMatchObject({ of: 'pupil-right', toward: 'outside' });
  });

  test('the nearest to both lines through a point come first, far ones not at all', () => {
    const near = nearLines(face, POINTS, 'pupil-left');
    expect(near.under.map((s) => s.point)).toEqual(['brow-left', 'mouth-left', 'crown']);
    expect(near.level[0]).toMatchObject({ point: 'pupil-right', off: 0 });
    expect(nearLines(face, POINTS, 'toe')).toEqual({ under: [], level: [] });
  });

  test('without its own unit the whole is the measure; all on one place have none', () => {
    expect(unitOf(face, POINTS)).toEqual({ px: 200, own: true });
    expect(unitOf(face, { 'pupil-left': [0, 0], 'pupil-right': [30, 40] })).toEqual({ px: 50, own: false });
    expect(unitOf(face, { 'pupil-left': [4, 4] })).toBeNull();
    expect(standsOf(face, { 'pupil-left': [4, 4] })).toEqual([]);
  });
});
