/** The six invented hands: works drawn by rules must read as the rules say, and each hand must be known by its works. */
import { sayFinding } from '../../core/style/words';
import { english } from '../support/english';
import { SAMPLE_HANDS } from '../../atelier/hands';
import { furtherWork, HandWork, SampleHand } from '../../atelier/hands/sample';
import { compare, Measured } from '../../core/style/compare';
import { RgbImage } from '../../core/raster/image';
import { reduceImage } from '../../core/raster/resample';
import { mean } from '../../core/raster/statistics';
import { measured } from '../support/measured';

interface Drawn {
  hand: SampleHand;
  work: HandWork;
  image: RgbImage;
  own: Measured;
}

let shown: Drawn[] = [];

beforeAll(async () => {
  for (const hand of SAMPLE_HANDS)
    for (const work of hand.works.slice(0, 3)) {
      const { image } = await hand.draw(work, 4);
      shown.push({ hand, work, image, own: measured(image, work.widthMm) });
    }
}, 300_000);

afterAll(() => {
  shown = [];
});

test('each hand has five works or more, told apart, and draws the same for the same seed', async () => {
  for (const hand of SAMPLE_HANDS) {
    expect(hand.works.length).toBeGreaterThanOrEqual(5);
    expect(new Set(hand.works.map((w) => w.title)).size).toBe(hand.works.length);
    const [once, twice] = [await hand.draw(hand.works[0], 1), await hand.draw(hand.works[0], 1)];
    expect(Buffer.from(once.image.data).equals(Buffer.from(twice.image.data))).toBe(true);
    const other = await hand.draw(furtherWork(hand, 1), 1);
    expect(Buffer.from(once.image.data).equals(Buffer.from(other.image.data))).toBe(false);
  }
  expect(new Set(SAMPLE_HANDS.map((h) => h.key)).size).toBe(6);
}, 60_000);

test('works read as their hand’s rules say', () => {
  const wrong: string[] = [];
  for (const { hand, work, own } of shown)
    for (const [name, { low, high }] of Object.entries(hand.expected)) {
      const f = own.features[name];
      const value = f.value !== null && f.unit === 'permille' ? (f.value * work.widthMm) / 1000 : f.value;
      if (value === null || value < low || value > high) wrong.push(`${work.title}: ${name} ${value}, wanted ${low} to ${high}`);
    }
  expect(wrong).toEqual([]);
});

test('a work left out comes out nearer to its own hand than works of other hands, in every group the hands differ in', () => {
  const scores = ['overall', 'marks', 'colour', 'value'] as const;
  const won = scores.map(() => 0);
  let all = 0;
  for (const left of shown) {
    const sources = shown.filter((d) => d.hand === left.hand && d !== left).map((d) => d.own);
    const near = (d: Drawn) => {
      const { closeness } = compare(sources, d.own, { as: 'original' });
      return scores.map((s) => (s === 'overall' ? closeness.overall : closeness.groups[s]));
    };
    const own = near(left);
    for (const other of shown.filter((d) => d.hand !== left.hand)) {
      all++;
      near(other).forEach((v, k) => (won[k] += own[k]! > v! ? 1 : 0));
    }
  }
  // Area under the receiver's operating curve, as a share of pairs put in the right order.
  scores.forEach((score, k) => expect([score, won[k] / all >= 0.95]).toEqual([score, true]));
}, 120_000);

test('findings name what truly differs: an ink picture held against the tiles, and a tile against the ink', () => {
  const of = (key: string) => shown.filter((d) => d.hand.key === key);
  const first = (sources: string, piece: string) =>
    compare(
      of(sources).map((d) => d.own),
      of(piece)[0].own,
      { as: 'original' },
    ).findings.slice(0, 12);
  const inkOnTiles = first('oostvik', 'osk');
  expect(inkOnTiles.some((f) => f.group === 'colour' && f.distance < 0 && /chroma/.test(f.feature))).toBe(true);
  const tilesOnInk = first('osk', 'oostvik');
  expect(tilesOnInk.some((f) => f.group === 'colour' && f.distance > 0 && /chroma|cool|count/.test(f.feature))).toBe(true);
  for (const f of [...inkOnTiles, ...tilesOnInk]) expect(english(sayFinding(f))).toMatch(/^[A-Z].*\.$/);
});

test('a copy invents far less than another picture of the same hand', () => {
  const copies: number[] = [];
  const others: number[] = [];
  for (const { hand, image, work, own } of shown.filter((_, i) => i % 3 === 0)) {
    const works = shown.filter((d) => d.hand === hand);
    // Mirrored, a tenth cut off, and a little darker.
    const [w, h] = [Math.round(0.9 * image.width), Math.round(0.9 * image.height)];
    const data = new Uint8Array(3 * w * h);
    for (let y = 0; y < h; y++)
      for (let x = 0; x < w; x++)
        for (let c = 0; c < 3; c++)
          data[3 * (y * w + x) + c] = Math.round(0.9 * image.data[3 * (y * image.width + image.width - 1 - x) + c]);
    const copy = reduceImage({ width: w, height: h, data }, w >> 1, h >> 1);
    copies.push(
      compare(
        works.map((d) => d.own),
        measured(copy, work.widthMm),
        { as: 'original' },
      ).ownInvention,
    );
    others.push(
      compare(
        works.filter((d) => d.work !== work).map((d) => d.own),
        own,
        { as: 'original' },
      ).ownInvention,
    );
  }
  expect(Math.max(...copies)).toBeLessThan(8);
  expect(mean(others)).toBeGreaterThan(mean(copies) + 30);
}, 120_000);
