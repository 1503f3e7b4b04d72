/** Files nobody means to hand in: each ends in a reading or in one clear line and exit 2, soon, and without a NaN. */
import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import sharp, { type Sharp } from 'sharp';
import { seededRandom } from '../core/raster/statistics';
import { drawnPicture, fourFields, pictureBomb } from '../tests/support/pictures';

const ROOT = join(__dirname, '..');
const dir = mkdtempSync(join(tmpdir(), 'oh-odd-'));
afterAll(() => rmSync(dir, { recursive: true, force: true }));

const LONGEST_MS = 20_000;

interface Ran {
  code: number;
  out: string;
  err: string;
  ms: number;
}

const run = (...words: string[]): Promise<Ran> => {
  const begun = Date.now();
  return new Promise((done) =>
    execFile(process.execPath, [join(ROOT, 'oldhand'), ...words], { maxBuffer: 1e8, timeout: 60_000 }, (error, out, err) =>
      done({ code: error ? Number(error.code ?? -1) : 0, out, err, ms: Date.now() - begun }),
    ),
  );
};

/** A reading, or one clear line and exit 2; what it was is given back. */
function settled(r: Ran): 'read' | 'refused' {
  expect(r.ms).toBeLessThan(LONGEST_MS);
  if (r.code === 0) {
    expect(r.out).not.toMatch(/\bNaN\b|Infinity/);
    expect(() => JSON.parse(r.out) as unknown).not.toThrow();
    return 'read';
  }
  expect(r.code).toBe(2);
  expect(r.out).toBe('');
  const lines = r.err.trim().split('\n');
  expect(lines).toHaveLength(1);
  expect(lines[0]).not.toMatch(/at \S+:\d+|undefined|TypeError/);
  return 'refused';
}

/** Works on the list two at a time. */
async function each<T>(list: readonly T[], work: (item: T) => Promise<void>): Promise<void> {
  const waiting = [...list];
  const lane = async () => {
    for (let item = waiting.shift(); item !== undefined; item = waiting.shift()) await work(item);
  };
  await Promise.all([lane(), lane()]);
}

const solid = (width: number, height: number, background: string) => sharp({ create: { width, height, channels: 3, background } });

const PICTURES: [name: string, make: () => Sharp | Promise<Buffer>][] = [
  ['one.png', () => solid(1, 1, '#808080').png()],
  ['two.png', () => solid(2, 3, '#203040').png()],
  ['thin.png', () => solid(1, 20_000, '#808080').png()],
  ['low.png', () => solid(20_000, 1, '#808080').png()],
  ['strip.png', () => solid(3000, 5, '#a04020').png()],
  ['black.png', () => solid(300, 200, '#000000').png()],
  ['white.jpg', () => solid(300, 200, '#ffffff').jpeg()],
  ['deep.png', () => drawnPicture(400, 300).toColourspace('rgb16').png()],
  ['grey.png', () => drawnPicture(400, 300).greyscale().toColourspace('b-w').png()],
  ['grey16.png', () => drawnPicture(400, 300).greyscale().toColourspace('grey16').png()],
  ['indexed.png', () => drawnPicture(400, 300).png({ palette: true, colours: 4 })],
  ['clear.png', () => sharp({ create: { width: 200, height: 150, channels: 4, background: { r: 10, g: 20, b: 200, alpha: 0.3 } } }).png()],
  ['wide.png', () => fourFields(100).withIccProfile('p3').png()],
  ['turned.jpg', () => drawnPicture(400, 300).jpeg().withMetadata({ orientation: 6 })],
  ['print.tif', () => drawnPicture(300, 200).withIccProfile('cmyk').toColourspace('cmyk').tiff()],
  [
    'moving.gif',
    async () =>
      sharp(await Promise.all([solid(60, 40, '#f00').png().toBuffer(), solid(60, 40, '#00f').png().toBuffer()]), {
        join: { animated: true },
      })
        .gif()
        .toBuffer(),
  ],
  ['soft.webp', () => drawnPicture(400, 300).webp({ quality: 20 })],
  [
    'noise.png',
    async () =>
      sharp(
        Buffer.from(
          Uint8Array.from(
            { length: 256 * 256 * 3 },
            (
              (r) => () =>
                256 * r()
            )(seededRandom(9)),
          ),
        ),
        { raw: { width: 256, height: 256, channels: 3 } },
      )
        .png()
        .toBuffer(),
  ],
];

const written = async (name: string, make: () => Sharp | Promise<Buffer>): Promise<string> => {
  const made = make();
  const path = join(dir, name);
  writeFileSync(path, made instanceof Promise ? await made : await made.toBuffer());
  return path;
};

test('every kind of picture is measured to the end', async () => {
  await each(PICTURES, async ([name, make]) => {
    const r = await run('measure', await written(name, make), '--width-mm', '200', '--json');
    expect([name, settled(r)]).toEqual([name, 'read']);
    const d = JSON.parse(r.out) as { palette: { share: number }[]; values: { steps: { share: number }[] } };
    expect([name, d.palette.reduce((s, p) => s + p.share, 0)]).toEqual([name, expect.closeTo(1, 6)]);
    expect([name, d.values.steps.reduce((s, p) => s + p.share, 0)]).toEqual([name, expect.closeTo(1, 6)]);
  });
});

test('what is no picture, or only half of one, is refused in one line', async () => {
  const random = seededRandom(4);
  const jpeg = await drawnPicture(500, 400).jpeg({ quality: 95 }).toBuffer();
  const png = await drawnPicture(500, 400).png().toBuffer();
  const bad: [string, Buffer][] = [
    ['empty.png', Buffer.alloc(0)],
    ['text.png', Buffer.from('not a picture at all')],
    ['svg.png', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>')],
    ['cut.jpg', jpeg.subarray(0, jpeg.length >> 1)],
    ['cut.png', png.subarray(0, png.length >> 1)],
    ['head.jpg', jpeg.subarray(0, 40)],
    ['bomb.png', await pictureBomb(40_000, 40_000)],
    ...Array.from({ length: 6 }, (_, i): [string, Buffer] => [
      `random${i}.jpg`,
      Buffer.from(Uint8Array.from({ length: 2000 }, () => 256 * random())),
    ]),
    // A true beginning with a false rest.
    ...[jpeg, png].map((b, i): [string, Buffer] => [
      `half${i}.png`,
      Buffer.concat([b.subarray(0, 200), Buffer.from(Uint8Array.from({ length: 3000 }, () => 256 * random()))]),
    ]),
  ];
  await each(bad, async ([name, bytes]) => {
    writeFileSync(join(dir, name), bytes);
    const r = await run('measure', join(dir, name), '--json');
    expect([name, settled(r)]).toEqual([name, 'refused']);
    expect(r.err).toContain(name);
  });
});

test('files with bytes changed at random end in a reading or a refusal, whichever command they are given to', async () => {
  const whole = await Promise.all([
    drawnPicture(180, 120).jpeg().toBuffer(),
    drawnPicture(180, 120).png().toBuffer(),
    drawnPicture(180, 120).webp().toBuffer(),
    drawnPicture(180, 120).tiff().toBuffer(),
  ]);
  const good = await written('good.png', () => drawnPicture(200, 150).png());
  let at = 0;
  const damage = fc.record({
    file: fc.nat(whole.length - 1),
    // Places as shares of the file, so that headers and bodies are met alike.
    edits: fc.array(fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.nat(255)), { minLength: 1, maxLength: 12 }),
    kept: fc.double({ min: 0.2, max: 1, noNaN: true }),
    command: fc.constantFrom('measure', 'rectify', 'compare'),
  });
  await fc.assert(
    fc.asyncProperty(damage, async ({ file, edits, kept, command }) => {
      const bytes = Buffer.from(whole[file].subarray(0, Math.max(16, Math.round(kept * whole[file].length))));
      for (const [share, value] of edits) bytes[Math.min(bytes.length - 1, Math.floor(share * bytes.length))] = value;
      const path = join(dir, `damaged${at++}.img`);
      writeFileSync(path, bytes);
      const words = {
        measure: [path],
        rectify: [path, '--paper', '210x148', '--px-per-mm', '2', '--out', join(dir, 'damaged.png')],
        compare: ['--source', good, '--piece', path],
      };
      settled(await run(command, ...words[command as keyof typeof words], '--json'));
    }),
    { numRuns: 24, seed: 7, endOnFailure: true },
  );
}, 240_000);

test('squaring up and comparing come to an end on odd pictures too', async () => {
  const odd = await Promise.all(
    PICTURES.filter(([n]) => ['one.png', 'thin.png', 'strip.png', 'black.png', 'noise.png'].includes(n)).map(([n, m]) =>
      written(`r-${n}`, m),
    ),
  );
  const drawn = await written('source.png', () => drawnPicture(500, 350).png());
  await each(odd, async (path) => {
    settled(await run('rectify', path, '--paper', '297x210', '--out', join(dir, 'out.png'), '--json'));
    settled(await run('compare', '--source', drawn, '--piece', path, '--json'));
    settled(await run('compare', '--source', path, '--piece', drawn, '--as', 'copy', '--json'));
  });
});

test('odd words are refused with the field’s name', async () => {
  const drawn = await written('words.png', () => drawnPicture(500, 350).png());
  const cases: [string[], RegExp][] = [
    [['measure', drawn, '--width-mm', '-3', '--json'], /width-mm/],
    [['measure', drawn, '--width-mm', 'wide', '--json'], /width-mm/],
    [['measure', drawn, '--patch', '10,10,9000,10', '--json'], /patch/],
    [['measure', drawn, '--patch', '10,10,20', '--json'], /patch/],
    [['measure', drawn, '--colours', '0', '--json'], /colours/],
    [['measure', drawn, '--values', '99', '--json'], /values/],
    [['measure', drawn, '--landmarks', join(dir, 'none.json'), '--json'], /none\.json/],
    [['measure', '--json'], /picture/i],
    [['rectify', drawn, '--paper', '297', '--out', join(dir, 'o.png'), '--json'], /paper/],
    [['rectify', drawn, '--paper', '297x210', '--corners', '0,0 1,0 1,1', '--out', join(dir, 'o.png'), '--json'], /corners/],
    [['rectify', drawn, '--paper', '297x210', '--json'], /out/],
    [['compare', '--piece', drawn, '--json'], /source/],
    [['compare', '--source', drawn, '--json'], /piece/],
    [['compare', '--source', drawn, '--piece', drawn, '--as', 'poster', '--json'], /--as/],
    [['mix', '--target', 'red', '--kit', join(dir, 'none.json'), '--json'], /target|kit/],
    [['colour-difference', '50,0', '50,0,0', '--json'], /colour/],
    [['fit-shapes', '--polygon', '0,0 1,1', '--json'], /polygon/],
    [['align', '--from', drawn, '--to', drawn, '--json'], /from|landmarks/],
    [['measure', drawn, '--loud', '--json'], /--loud/],
  ];
  await each(cases, async ([words, named]) => {
    const r = await run(...words);
    expect([words.join(' '), settled(r)]).toEqual([words.join(' '), 'refused']);
    expect(r.err).toMatch(named);
  });
});
