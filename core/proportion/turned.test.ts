import { TEMPLATES } from './templates';
import { turnedHead } from './turned';
import { Point } from '../raster/image';

const front: Record<string, Point> = Object.fromEntries(
  TEMPLATES['face-front'].points.map(({ name, at: [x, y] }): [string, Point] => [name, [100 * x, 140 * y]]),
);
/** A round head turned about its plumb axis, degrees: points of the front of an upright cylinder (the ears’ width is its diameter). */
const turned = (degrees: number): Record<string, Point> =>
  Object.fromEntries(
    Object.entries(front).map(([name, [x, y]]): [string, Point] => {
      // The sides of a head are where it ends as seen, however it turns.
      if (name.startsWith('face')) return [name, [x, y]];
      const angle = Math.asin(Math.max(-1, Math.min(1, (x - 50) / 52))) + (degrees * Math.PI) / 180;
      return [name, [50 + 52 * Math.sin(angle), y]];
    }),
  );
const head = (points: Record<string, Point>) => turnedHead({ template: 'face-front', points });

test('a front face is none, a head turned by 15° or more is one, and the far side is named', () => {
  expect(head(turned(0))).toBeNull();
  expect(head(turned(2))).toBeNull();
  for (const degrees of [15, 25, 35]) {
    expect(head(turned(degrees))).toMatchObject({ far: 'right' });
    expect(head(turned(-degrees))).toMatchObject({ far: 'left' });
  }
  expect(head(turned(30))!.narrower).toBeGreaterThan(head(turned(15))!.narrower);
});

test('a tilted front face is none; nor is a nose drawn off between eyes that are alike', () => {
  const [c, s] = [Math.cos(0.4), Math.sin(0.4)];
  const tilted = Object.fromEntries(Object.entries(front).map(([n, [x, y]]): [string, Point] => [n, [c * x - s * y, s * x + c * y]]));
  expect(head(tilted)).toBeNull();
  expect(head({ ...front, 'nose-base': [75, 98], 'mouth-centre': [75, 112], chin: [75, 140] })).toBeNull();
});

test('without the sides or the middle nothing is said, nor of other templates', () => {
  expect(head({ 'face-left': front['face-left'], 'face-right': front['face-right'] })).toBeNull();
  expect(head({ chin: front.chin })).toBeNull();
  expect(turnedHead({ template: 'figure-standing', points: turned(30) })).toBeNull();
});
