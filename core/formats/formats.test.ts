/** Files read back, and each mistake named with its field. */
import { toldBy } from '../../tests/support/english';
import { DEMO_KIT } from '../../atelier/kit';
import { parseKitFile } from './kitFile';
import { allPoints, parseLandmarkFile } from './landmarkFile';

const kit = (change: (k: Record<string, unknown>) => void): string => {
  const value = JSON.parse(JSON.stringify({ format: 'oldhand.kit/1', ...DEMO_KIT })) as Record<string, unknown>;
  change(value);
  return JSON.stringify(value);
};
const paint = (k: Record<string, unknown>, i: number) => (k.paints as Record<string, unknown>[])[i];

test('a kit is read as it was written', () => {
  const { name, white, paints } = parseKitFile(kit(() => {}));
  expect({ name, white, paints }).toEqual(DEMO_KIT);
});

test.each([
  ['another format', (k) => (k.format = 'other/1'), /“format” must be “oldhand.kit\/1”/],
  ['no paints', (k) => (k.paints = []), /“paints”/],
  ['a paint without a name', (k) => delete paint(k, 2).name, /paint 3.*“name”/],
  ['a masstone in words', (k) => (paint(k, 1).masstone = 'yellow'), /“hansa yellow”.*“masstone”/],
  ['a tint without parts', (k) => (paint(k, 1).tint = { hex: '#ffffff' }), /“tint.parts”/],
  ['a strength of nothing', (k) => (paint(k, 1).strength = 0), /“strength”/],
  ['a white that is not there', (k) => (k.white = 'zinc white'), /“white” names “zinc white”/],
  ['two paints of one name', (k) => (paint(k, 2).name = 'hansa yellow'), /same name/],
] as [string, (k: Record<string, unknown>) => void, RegExp][])('a kit with %s is refused by name', (_what, change, words) => {
  expect(toldBy(() => parseKitFile(kit(change)))).toMatch(words);
});

test('landmarks are read, and their mistakes named', () => {
  const good = { format: 'oldhand.landmarks/1', template: 'face-front', points: { crown: [1, 2.5] } };
  expect(parseLandmarkFile(JSON.stringify(good))).toEqual([{ template: 'face-front', name: null, points: { crown: [1, 2.5] } }]);
  const { format, ...set } = good;
  const two = {
    format,
    sets: [
      { ...set, name: 'left' },
      { ...set, name: 'right', points: { crown: [9, 9] } },
    ],
  };
  expect(allPoints(parseLandmarkFile(JSON.stringify(two)))).toEqual({ 'left.crown': [1, 2.5], 'right.crown': [9, 9] });
  expect(toldBy(() => parseLandmarkFile(JSON.stringify({ format, sets: [] })))).toMatch(/“sets” must be a list/);
  expect(toldBy(() => parseLandmarkFile(JSON.stringify({ format, sets: [set, set] })))).toMatch(/own name/);
  expect(toldBy(() => parseLandmarkFile(JSON.stringify({ format, sets: [{ ...set, name: 3 }] })))).toMatch(/“name” of a set/);
  expect(toldBy(() => parseLandmarkFile('not json'))).toMatch(/not JSON/);
  expect(toldBy(() => parseLandmarkFile('[1]'))).toMatch(/one JSON object/);
  expect(toldBy(() => parseLandmarkFile(JSON.stringify({ ...good, template: 'cat' })))).toMatch(/“template” must be one of/);
  expect(toldBy(() => parseLandmarkFile(JSON.stringify({ ...good, points: { crown: [1] } })))).toMatch(/point “crown”/);
  expect(toldBy(() => parseLandmarkFile(JSON.stringify({ ...good, points: { crown: ['a', 2] } })))).toMatch(/two numbers/);
});
