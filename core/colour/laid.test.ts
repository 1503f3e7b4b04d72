import { labFromHex } from './lab';
import { laidFor, laidOver } from './laid';
import { richest } from './materials';
import { READY_SETS } from './readySets';
import type { Triple } from './srgb';

const WHITE: Triple = [1, 1, 1];

test('a clear layer multiplies, an opaque one hides, and on bare sheet each is itself', () => {
  const [yellow, blue]: Triple[] = [
    [0.9, 0.8, 0.1],
    [0.1, 0.2, 0.7],
  ];
  laidOver(yellow, blue, 0, WHITE).forEach((v, c) => expect(v).toBeCloseTo(yellow[c] * blue[c]));
  expect(laidOver(yellow, blue, 1, WHITE)).toEqual(blue);
  for (const hides of [0, 0.4, 1]) laidOver(WHITE, blue, hides, WHITE).forEach((v, c) => expect(v).toBeCloseTo(blue[c]));
});

test('a layer never lightens what it is laid over as a clear one, on toned sheets neither', () => {
  const sheet: Triple = [0.5, 0.45, 0.3];
  const lower: Triple = [0.3, 0.2, 0.1];
  laidOver(lower, [0.9, 0.9, 0.9], 0, sheet).forEach((v, c) => expect(v).toBeLessThanOrEqual(lower[c]));
});

test('the very pencil is found first and no overlay is told that does not better it', () => {
  const { materials } = READY_SETS.pencils;
  for (const m of [materials[5], materials[14], materials[20]]) {
    const answer = laidFor(m.masstone!, materials);
    expect(answer.singles[0]).toMatchObject({ names: [m.name], deltaE: 0 });
    expect(answer.overlays).toEqual([]);
    expect(answer.words.key).toBe('laid.within');
  }
});

/** Common practice, no source: yellow under blue gives green with transparent pens. */
test('yellow and light blue felt pens over each other give a green nearer than any but the greens', () => {
  const pens = READY_SETS.feltPens.materials.filter((m) => !/green/i.test(m.name));
  const [best] = laidFor('#2f9a3c', pens).overlays;
  expect([...best.names].sort()).toEqual(['lightBlue', 'yellow']);
  expect(labFromHex(best.hex)[1]).toBeLessThan(-20);
});

test('nothing to lay is said', () => {
  expect(laidFor('#123456', READY_SETS.gouache.materials)).toMatchObject({ singles: [], overlays: [], words: { key: 'laid.nothing' } });
});

test('a colour is asked first of the kit that mixes most, else of the one with most to lay', () => {
  const [gouache, poster, pens, pencils] = [READY_SETS.gouache, READY_SETS.poster, READY_SETS.feltPens, READY_SETS.pencils];
  expect(richest([pencils, poster, gouache, pens])).toBe(gouache);
  expect(richest([pens, pencils])).toBe(pencils);
  expect(richest([{ materials: [] }])).toBeNull();
});
