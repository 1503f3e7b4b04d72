/** The headless commands as others call them: whole processes, one JSON document or one line and exit 2. */
import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp, { type Sharp } from 'sharp';
import { DEMO_KIT } from '../atelier/kit';

const ROOT = join(__dirname, '..');
const dir = mkdtempSync(join(tmpdir(), 'oh-cli-'));
afterAll(() => rmSync(dir, { recursive: true, force: true }));

interface Ran {
  code: number;
  out: string;
  err: string;
}

const run = (...words: string[]): Promise<Ran> =>
  new Promise((done) =>
    execFile(process.execPath, [join(ROOT, 'oldhand'), ...words], { maxBuffer: 1e8 }, (error, out, err) =>
      done({ code: error ? Number(error.code) : 0, out, err }),
    ),
  );

const file = (name: string, content: string | Buffer): string => {
  const path = join(dir, name);
  writeFileSync(path, content);
  return path;
};

const hatched = (gap: number): Sharp => {
  const lines = Array.from(
    { length: Math.round(720 / gap) },
    (_, i) => `<path d="M ${40 + i * gap} 380 l 90 -300" stroke="#223" stroke-width="2.5"/>`,
  ).join('');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="460"><rect width="800" height="460" fill="#e8dcc0"/>${lines}<rect x="20" y="20" width="120" height="60" fill="#2f6f5a"/></svg>`;
  return sharp(Buffer.from(svg));
};

let picture: string;
let other: string;
beforeAll(async () => {
  picture = file('study.png', await hatched(12).png().toBuffer());
  other = file('other.png', await hatched(20).png().toBuffer());
});

const READING = [
  'kind',
  'confidence',
  'directions',
  'coherence',
  'crossing',
  'spacing',
  'lineWidth',
  'strokeLength',
  'straightness',
  'coverage',
];

test('measure gives the whole contract’s shape, the same to the last digit twice, and real readings', async () => {
  const words = ['measure', picture, '--width-mm', '200', '--patch', '150,120,300,200', '--json'];
  const [one, two] = [await run(...words), await run(...words)];
  expect(one.code).toBe(0);
  expect(one.out).toBe(two.out);
  expect(one.out).not.toMatch(/NaN|Infinity/);
  const d = JSON.parse(one.out);
  expect(Object.keys(d)).toEqual([
    'format',
    'picture',
    'frame',
    'ground',
    'palette',
    'values',
    'temperature',
    'chroma',
    'marks',
    'edges',
    'composition',
    'proportions',
    'features',
  ]);
  expect(d.format).toBe('oldhand.profile/1');
  expect(d.picture).toMatchObject({ width: 800, height: 460, mmPerPixel: 0.25 });
  expect(d.picture.sha256).toMatch(/^[0-9a-f]{64}$/);
  expect(Object.keys(d.marks.overall)).toEqual(READING);
  expect(Object.keys(d.marks.patches[0])).toEqual(['patch', ...READING]);
  expect(d.values.steps).toHaveLength(5);
  expect(d.palette.reduce((s: number, c: { share: number }) => s + c.share, 0)).toBeCloseTo(1, 9);
  expect(d.temperature.warm + d.temperature.cool + d.temperature.neutral).toBeCloseTo(1, 9);
  expect(d.proportions).toEqual([]);
  for (const f of Object.values(d.features) as { group: string }[])
    expect(['proportion', 'marks', 'colour', 'value', 'composition']).toContain(f.group);
  // Rows 12 px apart along the level lean by atan(90 / 300).
  const spacing = 12 * Math.cos(Math.atan2(90, 300));
  expect(d.marks.patches[0].spacing.px / spacing).toBeCloseTo(1, 1);
  expect(d.marks.patches[0].spacing.mm).toBeCloseTo(d.marks.patches[0].spacing.px * 0.25, 9);
  expect(d.marks.patches[0].spacing.permille).toBeCloseTo((1000 * d.marks.patches[0].spacing.px) / 800, 9);
  expect(Math.abs(d.marks.patches[0].directions[0].angle - (Math.atan2(300, 90) * 180) / Math.PI)).toBeLessThan(2);
  expect(d.ground.hex).toMatch(/^#[0-9a-f]{6}$/);
});

test('landmarks give proportions and their features', async () => {
  const marks = file(
    'figure.json',
    JSON.stringify({
      format: 'oldhand.landmarks/1',
      template: 'figure-standing',
      points: { crown: [400, 40], chin: [400, 120], sole: [400, 400] },
    }),
  );
  const { out, code } = await run('measure', picture, '--landmarks', marks, '--json');
  expect(code).toBe(0);
  const d = JSON.parse(out);
  expect(d.proportions.find((p: { name: string }) => p.name === 'heads-tall')).toEqual({
    template: 'figure-standing',
    set: null,
    name: 'heads-tall',
    value: 4.5,
    unit: 'heads',
    canon: 7.5,
    factor: 0.6,
  });
  expect(d.features['proportion.figure-standing.heads-tall'].value).toBe(4.5);
  expect(d.features['proportion.figure-standing.arm-length'].value).toBeNull();
});

test('a template of one’s own is measured and compared by the names of its file', async () => {
  const template = file(
    'vase.json',
    JSON.stringify({
      format: 'oldhand.template/1',
      name: 'Vase',
      points: ['lip', 'foot', 'left', 'right'],
      unit: ['left', 'right'],
      measures: [
        { name: 'height', kind: 'length', of: ['lip', 'foot'], over: null, canon: 2 },
        { name: 'lean', kind: 'angle', of: ['foot', 'lip'], over: null, canon: null },
      ],
    }),
  );
  const points = (high: number, as = 'Vase') => ({
    format: 'oldhand.landmarks/1',
    template: as,
    points: { lip: [400, 300 - high], foot: [400, 300], left: [360, 250], right: [440, 250] },
  });
  const marks = file('vase-marks.json', JSON.stringify(points(200)));
  const { out, code } = await run('measure', picture, '--template', template, '--landmarks', marks, '--json');
  expect(code).toBe(0);
  const d = JSON.parse(out);
  expect(d.proportions).toEqual([
    { template: 'Vase', set: null, name: 'height', value: 2.5, unit: 'ratio', canon: 2, factor: 1.25 },
    { template: 'Vase', set: null, name: 'lean', value: 90, unit: 'degrees', canon: null, factor: null },
  ]);
  expect(d.features['proportion.Vase.height']).toEqual({ group: 'proportion', value: 2.5, unit: 'ratio', spread: expect.any(Number) });
  const taller = file('vase-taller.json', JSON.stringify(points(280, 'own')));
  const plain = await run('measure', picture, '--template', template, '--landmarks', taller);
  expect(plain.out).toMatch(/height: 350 %/);
  const held = await run(
    ...['compare', '--template', template, '--source', picture, '--source-landmarks', marks],
    ...['--piece', picture, '--piece-landmarks', file('vase-piece.json', JSON.stringify(points(280))), '--json'],
  );
  const finding = JSON.parse(held.out).findings.find((f: { feature: string }) => f.feature === 'proportion.Vase.height');
  expect(Object.keys(finding)).toEqual(['group', 'feature', 'unit', 'master', 'piece', 'distance', 'words']);
  expect(finding).toMatchObject({ group: 'proportion', unit: 'ratio', piece: 3.5 });
  expect(finding.distance).toBeGreaterThan(0);
  expect(finding.words).toMatch(/^height is .*greater than the master’s: 350 % against 250 %\.$/);
  const unknown = await run('measure', picture, '--landmarks', marks, '--json');
  expect(unknown.code).toBe(2);
  const strange = file('vase-strange.json', JSON.stringify({ ...points(200), points: { rim: [1, 2] } }));
  const told = await run('measure', picture, '--template', template, '--landmarks', strange, '--json');
  expect([told.code, told.err]).toEqual([2, expect.stringMatching(/Vase.*rim/)]);
});

test('hand tells what is constant, what varies and what parts it from a foil; of one work its tiles stand for works', async () => {
  const sources = ['--source', picture, '--source-width-mm', '200', '--source', picture, '--source-width-mm', '200'];
  const two = await run('hand', ...sources, '--foil', other, '--foil-width-mm', '200', '--foil', other, '--foil-width-mm', '200', '--json');
  expect(two.code).toBe(0);
  const d = JSON.parse(two.out);
  expect(Object.keys(d)).toEqual(['format', 'constant', 'varies', 'parts']);
  expect(Object.keys(d.constant[0])).toEqual(['group', 'feature', 'unit', 'low', 'mid', 'high', 'constancy', 'words']);
  for (const trait of d.varies) expect(Object.keys(trait)).toEqual(['group', 'feature', 'unit', 'low', 'mid', 'high', 'words']);
  expect(Object.keys(d.parts[0])).toEqual(['group', 'feature', 'unit', 'hand', 'foil', 'effect', 'words']);
  const spacing = d.parts.find((p: { feature: string }) => p.feature === 'marks.spacing');
  expect(spacing.unit).toBe('mm');
  expect(spacing.effect).toBeLessThan(0);
  const one = await run('hand', '--source', picture, '--json');
  expect(one.code).toBe(0);
  expect(one.err).toMatch(/only work of its hand/);
  expect(Object.keys(JSON.parse(one.out))).toEqual(['format', 'constant', 'varies']);
  const wrong = await run('hand', '--foil-width-mm', '3', '--source', picture);
  expect(wrong).toMatchObject({ code: 2, out: '', err: expect.stringMatching(/--foil-width-mm: must follow the --foil/) });
});

test('compare gives closeness, own invention and findings farthest first', async () => {
  const { out, code } = await run('compare', '--source', picture, '--piece', picture, '--json');
  expect(code).toBe(0);
  const d = JSON.parse(out);
  expect(Object.keys(d)).toEqual(['format', 'as', 'closeness', 'ownInvention', 'findings']);
  expect(d.as).toBe('original');
  expect(d.closeness.overall).toBeGreaterThan(85);
  expect(d.closeness.groups.proportion).toBeNull();
  expect(d.ownInvention).toBeLessThan(5);
  const distances = d.findings.map((f: { distance: number }) => Math.abs(f.distance));
  expect(distances).toEqual(distances.slice().sort((a: number, b: number) => b - a));
  const copy = JSON.parse(
    (
      await run(
        'compare',
        '--source',
        picture,
        '--source-width-mm',
        '200',
        '--piece',
        picture,
        '--piece-width-mm',
        '200',
        '--as',
        'copy',
        '--json',
      )
    ).out,
  );
  expect(copy.findings.some((f: { feature: string }) => f.feature.startsWith('place.'))).toBe(true);
  expect(copy.findings.find((f: { feature: string }) => f.feature === 'marks.spacing').unit).toBe('mm');
});

test('mix, colour-difference, fit-shapes and align answer on one document each', async () => {
  const kit = file('kit.json', JSON.stringify({ format: 'oldhand.kit/1', ...DEMO_KIT }));
  const mix = JSON.parse((await run('mix', '--target', '#4f8a74', '--kit', kit, '--json')).out);
  expect(Object.keys(mix)).toEqual(['format', 'target', 'recipes', 'withinReach', 'words']);
  expect(JSON.parse((await run('colour-difference', '50,2.6772,-79.7751', '50,0,-82.7485', '--json')).out).deltaE).toBeCloseTo(2.0425, 4);
  expect(JSON.parse((await run('colour-difference', '-5,0,0', '-5,0,0', '--json')).out)).toEqual({ deltaE: 0 });
  const { shapes } = JSON.parse((await run('fit-shapes', '--polygon', '0,0 100,0 100,60 0,60', '--json')).out);
  expect(shapes.map((s: { kind: string }) => s.kind)).toHaveLength(6);
  expect(shapes[0].kind).toBe('rectangle');
  const points = (p: object) => JSON.stringify({ format: 'oldhand.landmarks/1', template: 'free', points: p });
  const a = file('a.json', points({ p: [0, 0], q: [10, 0], r: [0, 10] }));
  const b = file('b.json', points({ p: [5, 5], q: [25, 5], r: [5, 25] }));
  const aligned = JSON.parse((await run('align', '--from', a, '--to', b, '--json')).out);
  expect(Object.keys(aligned)).toEqual(['scale', 'rotation', 'shift', 'residuals', 'rms']);
  expect([aligned.scale, aligned.rotation, ...aligned.shift].map((v: number) => Math.round(v * 1e9) / 1e9)).toEqual([2, 0, 5, 5]);
  expect(aligned.rms).toBeLessThan(1e-9);
});

test('rectify writes the sheet, or says that none was found and writes nothing', async () => {
  const out = join(dir, 'upright.png');
  const given = await run(
    'rectify',
    picture,
    '--paper',
    '200x115',
    '--corners',
    '0,0 800,0 800,460 0,460',
    '--px-per-mm',
    '3',
    '--out',
    out,
    '--json',
  );
  expect(given.code).toBe(0);
  expect(JSON.parse(given.out)).toMatchObject({
    format: 'oldhand.rectified/1',
    found: false,
    pixelsPerMm: 3,
    corners: [
      [0, 0],
      [800, 0],
      [800, 460],
      [0, 460],
    ],
  });
  expect((await sharp(readFileSync(out)).metadata()).width).toBe(600);
  const plain = file(
    'grey.png',
    await sharp({ create: { width: 400, height: 300, channels: 3, background: '#888' } })
      .png()
      .toBuffer(),
  );
  const none = await run('rectify', plain, '--paper', '297x210', '--px-per-mm', '1', '--out', join(dir, 'none.png'), '--json');
  expect(none.code).toBe(0);
  expect(JSON.parse(none.out)).toMatchObject({ found: false, corners: null });
  expect(() => readFileSync(join(dir, 'none.png'))).toThrow();
});

test('unusable input leaves with 2, nothing on standard output and one clear line that names it', async () => {
  const text = file('notes.png', 'only words');
  const cut = file('cut.png', readFileSync(picture).subarray(0, 600));
  const cases: [RegExp, string[]][] = [
    [/no such file/, ['measure', join(dir, 'nowhere.png'), '--json']],
    [/not a picture/, ['measure', text, '--json']],
    [/not a picture|damaged/, ['measure', cut, '--json']],
    [/patch .* does not lie inside/, ['measure', picture, '--patch', '700,10,300,300', '--json']],
    [/--patch/, ['measure', picture, '--patch', '1,2,3', '--json']],
    [/--width-mm/, ['measure', picture, '--width-mm', 'wide', '--json']],
    [/--paper/, ['rectify', picture, '--paper', 'big', '--out', join(dir, 'x.png')]],
    [/--source/, ['compare', '--piece', picture]],
    [
      /two points|at least two/,
      [
        'align',
        '--from',
        file('one.json', '{"format":"oldhand.landmarks/1","template":"free","points":{"p":[1,2]}}'),
        '--to',
        file('uno.json', '{"format":"oldhand.landmarks/1","template":"free","points":{"p":[1,2]}}'),
      ],
    ],
    [/format/, ['mix', '--target', '#123456', '--kit', file('bad.json', '{"paints":[]}')]],
    [/rrggbb/, ['mix', '--target', 'teal', '--kit', file('k.json', JSON.stringify({ format: 'oldhand.kit/1', ...DEMO_KIT }))]],
    [/no such command/, ['paint']],
    [/no such option/, ['measure', picture, '--colour', '3']],
  ];
  for (const [words, command] of cases) {
    const { code, out, err } = await run(...command);
    expect([command.join(' '), code, out]).toEqual([command.join(' '), 2, '']);
    expect(err.trim().split('\n')).toHaveLength(1);
    expect(err).toMatch(words);
  }
});

test('odd but real pictures end in a reading: 1 × 1, grey, 16-bit, transparent, turned by its tag', async () => {
  const make = async (name: string, image: Sharp) => file(name, await image.toBuffer());
  const noise = Buffer.from(Array.from({ length: 120 * 80 }, (_, i) => (i * 7919) % 256));
  const files = [
    await make('dot.png', sharp({ create: { width: 1, height: 1, channels: 3, background: '#aa7744' } }).png()),
    await make('grey.jpg', sharp(noise, { raw: { width: 120, height: 80, channels: 1 } }).jpeg()),
    await make(
      'deep.png',
      sharp(noise, { raw: { width: 120, height: 80, channels: 1 } })
        .toColourspace('rgb16')
        .png(),
    ),
    await make(
      'clear.png',
      sharp({ create: { width: 90, height: 60, channels: 4, background: { r: 200, g: 30, b: 30, alpha: 0.3 } } }).png(),
    ),
    await make(
      'turned.jpg',
      sharp(noise, { raw: { width: 120, height: 80, channels: 1 } })
        .withMetadata({ orientation: 6 })
        .jpeg(),
    ),
  ];
  for (const path of files) {
    const { code, out, err } = await run('measure', path, '--json');
    expect([path, code, err]).toEqual([path, 0, '']);
    expect(out).not.toMatch(/NaN|Infinity/);
    const d = JSON.parse(out);
    if (path.endsWith('turned.jpg')) expect([d.picture.width, d.picture.height]).toEqual([80, 120]);
  }
});
