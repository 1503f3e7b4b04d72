import { amount, typed } from '../message';
import { english } from '../../tests/support/english';
import { carriedInto, checkAgainst, sayFault } from './check';
import type { Landmarks } from './align';
import { TEMPLATES } from './templates';

const figure = TEMPLATES['figure-standing'];
const source: Landmarks = Object.fromEntries(figure.points.map((p) => [p.name, [400 * p.at[0], 900 * p.at[1]] as const]));
const ALLOWED = { part: 0.06, degrees: 3 };
const naming = { point: typed, part: typed, length: (px: number) => amount(px / 4, 'mm') };
const told = (drawing: Landmarks) => checkAgainst(figure, source, drawing, ALLOWED)!.faults.map((f) => english(sayFault(f, naming)));
const moved = (k: number, degrees: number, x: number, y: number): Landmarks => {
  const t = (degrees * Math.PI) / 180;
  return Object.fromEntries(
    Object.entries(source).map(([n, [px, py]]) => [
      n,
      [k * (Math.cos(t) * px - Math.sin(t) * py) + x, k * (Math.sin(t) * px + Math.cos(t) * py) + y] as const,
    ]),
  );
};

test('a drawing that is the source larger, turned and elsewhere departs nowhere', () => {
  const check = checkAgainst(figure, source, moved(0.6, 7, 40, -20), ALLOWED)!;
  expect(check.laid.scale).toBeCloseTo(0.6, 9);
  expect(check.faults).toEqual([]);
  for (const p of check.points) expect(p.far).toBeLessThan(1e-6);
});

test('a head that has grown is told first, by about how much it has', () => {
  const [cx, cy] = [200, 900 * 0.18];
  const head = new Set(figure.points.filter((p) => p.part === 'head').map((p) => p.name));
  const drawing = Object.fromEntries(
    Object.entries(source).map(([n, [x, y]]) => [
      n,
      head.has(n) ? ([cx + 1.3 * (x - cx), cy + 1.3 * (y - cy)] as const) : ([x, y] as const),
    ]),
  );
  const [worst] = checkAgainst(figure, source, drawing, ALLOWED)!.faults;
  expect(worst).toMatchObject({ kind: 'size', part: 'head' });
  expect((worst as { size: number }).size).toBeGreaterThan(1.25);
  expect((worst as { size: number }).size).toBeLessThan(1.35);
  expect(told(drawing)[0]).toMatch(/^head: (2[5-9]|3[0-4]) % larger against the whole\.$/);
});

test('a line that has turned is told with its way, and a part that sits too low with how far', () => {
  // The right forearm swung outward about its elbow, by 20° as seen anticlockwise.
  const [ex, ey] = source['elbow-right'];
  const t = (-20 * Math.PI) / 180;
  const swing = ([x, y]: readonly [number, number]) =>
    [ex + Math.cos(t) * (x - ex) - Math.sin(t) * (y - ey), ey + Math.sin(t) * (x - ex) + Math.cos(t) * (y - ey)] as const;
  const drawing = { ...source, 'wrist-right': swing(source['wrist-right']), 'fingertip-right': swing(source['fingertip-right']) };
  const line = checkAgainst(figure, source, drawing, ALLOWED)!.lines.find((l) => l.from === 'elbow-right' && l.to === 'wrist-right')!;
  expect(Math.abs(line.turned - 20)).toBeLessThan(1.5);
  expect(told(drawing)).toContainEqual(
    expect.stringMatching(/^The line from elbow-right to wrist-right is turned by (19|2[01])° anticlockwise\.$/),
  );
  const hem = { ...source, 'hem-left': [source['hem-left'][0], source['hem-left'][1] + 160], 'hem-right': [source['hem-right'][0], source['hem-right'][1] + 160] } as Landmarks; // prettier-ignore
  expect(told(hem)[0]).toMatch(/^garment: \d+ mm too low\.$/);
});

test('with fewer than three points of both, or all of them in one place, nothing is said', () => {
  expect(checkAgainst(figure, source, { crown: [1, 1], chin: [1, 9] }, ALLOWED)).toBeNull();
  expect(checkAgainst(figure, source, { crown: [1, 1], chin: [1, 1], sole: [1, 1] }, ALLOWED)).toBeNull();
});

test('the source’s places are laid into a drawing of another shape, whole and in the middle', () => {
  expect(carriedInto({ a: [0, 0], b: [400, 200] }, [400, 200], [100, 100])).toEqual({ a: [0, 25], b: [100, 75] });
});
