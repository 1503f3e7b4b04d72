/** What stands on the pages of a report: every sentence through words/, in whatever language, with letters the fonts hold. */
import sharp from 'sharp';
import { makePlan } from '../../core/lesson/plan';
import { usualSteps } from '../../core/lesson/usual';
import { lessonWishes } from '../../tests/support/lesson';
import { message, typed } from '../../core/message';
import { sayFinding } from '../../core/style/words';
import type { Language } from '../../words/languages';
import { installRoot } from '../root';
import type { ReportDocument } from '../threads/reportDocument';
import { Pages } from './page';
import { drawReport } from './reportPdf';

let bytes: Uint8Array;
beforeAll(async () => {
  bytes = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#888888' } })
    .jpeg()
    .toBuffer();
});

function document(language: Language): ReportDocument {
  const picture = { bytes, width: 40, height: 30 };
  const colour = (hue: string) =>
    message('colours.name', { hue, light: 'pale', strength: 'greyed', tinge: 'none', twin: 'deeper', number: 0 });
  const finding = { feature: 'marks.spacing', unit: 'mm' as const, master: { low: 1.4, mid: 1.6, high: 1.8 }, piece: 2.6, distance: 4 };
  const rule = { kind: 'never' as const, sentence: typed('Hands are shown.'), evidence: typed('Capes cover them.') };
  const ticked = {
    kind: 'feature' as const,
    sentence: message('readings.slack.kept'),
    evidence: message('readings.evidence.one', { title: typed('Ferry') }),
  };
  const wishes = lessonWishes([], { ink: 'washable', minutesPerPeriod: 40, periods: 1, classSize: 12, youngest: 7 });
  const plan = makePlan({ ...wishes, steps: [...usualSteps('pen-and-wash', wishes)].reverse() });
  const student = {
    name: 'Abel R',
    kind: 'copy' as const,
    attempt: 2,
    title: 'My boat',
    piece: picture,
    source: picture,
    sourceTitle: 'Ferry',
    closeness: 61,
    ownInvention: 12,
    works: [sayFinding({ ...finding, piece: 1.6, distance: 0 })],
    findings: [{ said: sayFinding(finding), next: message('features.marks.spacing.tryAbove'), note: 'Slower.' }],
    rules: [
      { rule, kept: null },
      { rule: ticked, kept: true },
    ],
    course: [
      { attempt: 1, closeness: 40 },
      { attempt: 2, closeness: 61 },
    ],
  };
  return {
    voice: { language, spelling: 'british', units: 'mm' },
    title: 'Harbour drawings',
    master: 'Teodor Ansgrave',
    about: 'Ferries at night.',
    className: '9c',
    date: '2026-11-26',
    paper: 'A4',
    works: [{ picture, title: 'Ferry', dated: '1927', sizeMm: [420, 297] }],
    rules: [rule, ticked],
    palette: [
      {
        hex: '#c8a860',
        name: colour('ochre'),
        share: 0.5,
        as: 'ground',
        recipe: { parts: [{ paint: 'yellow ochre', parts: 3 }], miss: message('mixing.near'), hex: '#c0a060' },
      },
      { hex: '#f26a12', name: colour('orange'), share: 0.008, as: 'accent', recipe: null },
    ],
    paletteFrom: 'Ferry',
    kit: 'School gouache',
    plan,
    lesson: { minutes: 40, students: 12, ink: 'washable' },
    students: [student, { ...student, name: null, title: '', findings: [], works: [], course: [], rules: [] }],
    without: ['Bruna K', null],
  };
}

async function printed(language: Language): Promise<{ texts: string[]; pages: number }> {
  const say = jest.spyOn(Pages.prototype, 'say');
  try {
    const pdf = (await drawReport(document(language), installRoot())).toString('latin1');
    return { texts: say.mock.calls.map(([text]) => text), pages: pdf.match(/\/Type \/Page\b(?!s)/g)!.length };
  } finally {
    say.mockRestore();
  }
}

/** What a person typed stands between marks of its own. */
const withoutTyped = (text: string): string => {
  const inner = text.replace(/\u2068[^\u2068\u2069]*\u2069/g, '');
  return inner === text ? text : withoutTyped(inner);
};

test('in the made-up language no page of the report shows English', async () => {
  const { texts, pages } = await printed('en-x-pseudo');
  expect(pages).toBeGreaterThanOrEqual(5);
  expect(texts.length).toBeGreaterThan(120);
  // Clocks and swatches aside every line has words; all of their vowels are marked. Months are the platform's own words.
  expect(texts.map((t) => withoutTyped(t).replace(/\d+ [A-Z][a-z]+ \d{4}/, '')).filter((t) => /[aeiouyAEIOUY]/.test(t))).toEqual([]);
});

test('in German and English every letter is one the shipped fonts hold', async () => {
  const missing = jest.spyOn(Pages.prototype as unknown as { runs: (...a: unknown[]) => { text: string }[] }, 'runs');
  for (const language of ['en', 'de'] as const) {
    const { texts } = await printed(language);
    expect(texts.some((t) => t.includes(language === 'de' ? 'Die Regeln dieser Hand' : 'The rules of this hand'))).toBe(true);
    for (const [i, { value }] of missing.mock.results.entries()) {
      const asked = String(missing.mock.calls[i][0]);
      const set = (value as { text: string }[]).map((r) => r.text).join('');
      expect(set).toBe(asked);
    }
    missing.mockClear();
  }
  missing.mockRestore();
});
