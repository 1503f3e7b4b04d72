import { parse } from 'csv-parse/sync';
import { toldBy } from '../../tests/support/english';
import { READY_SETS } from '../colour/readySets';
import { CupboardKit, MATERIAL_KINDS, Material, mixable } from '../colour/materials';
import { kitAsCsv, kitAsJson, kitAsSvg, readCupboardFile } from './cupboardFile';
import { parseKitFile } from './kitFile';

const MIXED: CupboardKit = {
  name: 'Table "two"; pens & paints',
  white: 'white, titanium',
  materials: [
    {
      kind: 'paint',
      name: 'white, titanium',
      pigment: 'PW6',
      masstone: '#f7f6f1',
      tint: null,
      strength: 1,
      properties: { opacity: 'opaque' },
    },
    {
      kind: 'paint',
      name: 'rouge "foncé"',
      pigment: 'PR170',
      masstone: '#b5242f',
      tint: { hex: '#dd8b91', parts: [1, 4] },
      strength: 1.5,
      properties: { lightfast: 'II', staining: true, granulating: false },
    },
    {
      kind: 'ink',
      name: 'black ink',
      pigment: 'PBk7',
      masstone: '#201f20',
      tint: null,
      strength: 1,
      properties: { waterproof: true, parts: 7 },
    },
    {
      kind: 'felt-pen',
      name: 'green pen',
      pigment: '',
      masstone: '#73b844',
      tint: null,
      strength: 1,
      properties: { leastMm: 0.8, mostMm: 2, note: 'line\nbreak, comma' },
    },
    {
      kind: 'paper',
      name: 'ochre sugar paper',
      pigment: '',
      masstone: '#dac18b',
      tint: null,
      strength: 1,
      properties: { widthMm: 420, heightMm: 297, gsm: 100, tooth: 'fine', wetStrong: false },
    },
    {
      kind: 'tool',
      name: 'reed',
      pigment: '',
      masstone: null,
      tint: null,
      strength: 1,
      properties: { leastMm: 0.5, mostMm: 3, taper: true },
    },
  ],
};

test('a kit of every sort comes back whole from both files', () => {
  expect(readCupboardFile(kitAsJson(MIXED))).toEqual(MIXED);
  expect(readCupboardFile(kitAsCsv(MIXED))).toEqual({ ...MIXED, name: '' });
});

test('another reader of such tables finds the same in it, quotes, commas and line breaks and all', () => {
  // csv-parse reads after RFC 4180, by code of its own.
  const rows = parse(kitAsCsv(MIXED), { columns: true }) as Record<string, string>[];
  expect(rows.map((r) => [r.kind, r.name, r.colour, r.note])).toEqual(
    MIXED.materials.map((m) => [m.kind, m.name, m.masstone ?? '', m.properties.note ?? '']),
  );
  expect(rows.map((r) => r.white)).toEqual(['yes', '', '', '', '', '']);
  expect(rows[1]).toMatchObject({ tint: '#dd8b91', 'tint-parts': '1:4', staining: 'yes', granulating: 'no' });
});

test('further tints and what is not known here go through both ways; a tint told twice is one', () => {
  const text = JSON.stringify({
    format: 'oldhand.kit/1',
    name: 'inks',
    white: null,
    paints: [
      {
        name: 'sepia',
        pigment: '',
        masstone: '#3a2618',
        tint: { hex: '#7a5a40', parts: [1, 1] },
        tints: [
          { hex: '#7a5a40', parts: [1, 1] },
          { hex: '#a98a6c', parts: [1, 3] },
          { hex: '#cfb79c', parts: [1, 7] },
        ],
        strength: 1,
        bottle: { ml: 30 },
        maker: 'own mixture',
      },
    ],
  });
  const kit = readCupboardFile(text);
  expect(kit.materials[0].tints).toEqual([
    { hex: '#a98a6c', parts: [1, 3] },
    { hex: '#cfb79c', parts: [1, 7] },
  ]);
  expect(kit.materials[0].extra).toEqual({ bottle: { ml: 30 }, maker: 'own mixture' });
  const back = JSON.parse(kitAsJson(kit)) as { paints: object[] };
  expect(back.paints[0]).toEqual((JSON.parse(text) as { paints: object[] }).paints[0]);
  expect(parseKitFile(text)).toEqual(mixable(kit));
  const { extra: _extra, ...plain } = kit.materials[0];
  expect(readCupboardFile(kitAsCsv(kit)).materials).toEqual([plain]);
  expect(toldBy(() => readCupboardFile('name,colour,tints\nsepia,#3a2618,#aabbcc 1 to 3\n'))).toMatch(/line 2.*tints/i);
  const long = JSON.stringify({ ...JSON.parse(text), paints: [{ name: 'a', masstone: '#112233', diary: 'x'.repeat(3000) }] }); // prettier-ignore
  expect(readCupboardFile(long).materials[0].extra).toBeUndefined();
});

test('what mixing reads of the file is the kit’s paints and inks', () => {
  expect(parseKitFile(kitAsJson(MIXED))).toEqual(mixable(MIXED));
});

test.each(Object.entries(READY_SETS))('the ready set of %s is a kit that comes back', (name, set) => {
  const kit = { name, ...set, materials: [...set.materials] as Material[] };
  expect(readCupboardFile(kitAsJson(kit))).toEqual(kit);
  expect(new Set(kit.materials.map((m) => m.name)).size).toBe(kit.materials.length);
  expect(kit.materials.every((m) => MATERIAL_KINDS.includes(m.kind))).toBe(true);
});

test('a table with semicolons, tabs, other capitals, Lab and decimal commas is read too', () => {
  const [paint] = readCupboardFile('Name;COLOR;Tint;Tint parts;strength\nred;"48,5 60 35";#f09a9a;1 : 3;0,8\n').materials;
  expect(paint).toMatchObject({ kind: 'paint', name: 'red', tint: { hex: '#f09a9a', parts: [1, 3] }, strength: 0.8 });
  expect(paint.masstone).toMatch(/^#[0-9a-f]{6}$/);
  expect(readCupboardFile('name\tcolour\nblue\t#00f\n').materials[0].masstone).toBe('#0000ff');
});

test('each fault is named with its line and what to do', () => {
  expect(toldBy(() => readCupboardFile('red|#ff0000\nblue|#0000ff\n'))).toMatch(/column.*name/i);
  expect(toldBy(() => readCupboardFile('name,colour\nred,#ff0000\n,#00ff00\n'))).toMatch(/3/);
  expect(toldBy(() => readCupboardFile('name,colour\nred,redish\n'))).toMatch(/2.*redish/);
  expect(toldBy(() => readCupboardFile('name,colour\nred,#ff0000\nRed,#ee0000\n'))).toMatch(/Red/);
  expect(toldBy(() => readCupboardFile('name,colour,tint\nred,#ff0000,#ffaaaa\n'))).toMatch(/1:4/);
  expect(toldBy(() => readCupboardFile('kind,name,colour\nglue,red,#ff0000\n'))).toMatch(/paint/);
  expect(toldBy(() => readCupboardFile(`name,colour\n${Array.from({ length: 400 }, (_, i) => `c${i},#123456`).join('\n')}`))).toMatch(
    /400.*200/,
  );
  expect(toldBy(() => readCupboardFile('{"format":"oldhand.kit/1","paints":[],"materials":[{"kind":"pencil","name":"red"}]}'))).toMatch(
    /red/,
  );
  expect(
    toldBy(() => readCupboardFile('{"format":"oldhand.kit/1","white":"chalk","paints":[{"name":"red","masstone":"#ff0000"}]}')),
  ).toMatch(/chalk/);
});

test('names that a spreadsheet would run as formulas are written so that it does not', () => {
  const [bad] = MIXED.materials;
  expect(kitAsCsv({ name: '', white: null, materials: [{ ...bad, name: '=1+1' }] })).not.toMatch(/(^|,)=1/m);
});

test('the drawing names every colour and leaves the tools out', () => {
  const svg = kitAsSvg(MIXED);
  expect(svg.match(/<g>/g)).toHaveLength(5);
  expect(svg).toContain('rouge &quot;foncé&quot;');
  expect(svg).not.toContain('reed');
});
