/** Every sentence can be said, is used, is spelt right and holds to the rules of the house. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { loadModule, type HunspellFactory } from 'hunspell-asm';
import { callsIn, escaped, UNDER } from '../tests/words/calls';
import { argumentsOf, everyForm, messagesOf } from '../tests/words/forms';
import { amount, figure, message, several, typed } from '../core/message';
import { de } from './de';
import { en } from './en';
import { CHOSEN, Language, negotiated, sentencesOf } from './languages';
import { pseudo } from './pseudo';
import { PLAIN_VOICE, speaker } from './say';
import { american } from './spelling';

const ROOT = join(__dirname, '..');
const english = messagesOf(en);
const german = messagesOf(de);

const translated = CHOSEN.filter((l) => l !== 'en');
const spokenIn = async (language: Language) => messagesOf(await sentencesOf({ language, spelling: 'british' }));

test.each(CHOSEN)(
  'every message in %s can be read, with typographic apostrophes and nothing that would be taken for markup',
  async (language) => {
    for (const [key, text] of await spokenIn(language)) {
      expect([key, everyForm(text).length > 0]).toEqual([key, true]);
      // A straight apostrophe escapes what follows it; an angle bracket opens a tag.
      expect([key, text.match(/['<>]/)]).toEqual([key, null]);
      expect([key, text]).toEqual([key, expect.not.stringMatching(/^\s|\s$/)]);
    }
  },
);

test.each(translated)('%s has the same sentences as English, with the same things in them', async (language) => {
  const other = new Map(await spokenIn(language));
  for (const [key, text] of english) expect([key, argumentsOf(other.get(key)!)]).toEqual([key, argumentsOf(text)]);
  expect(other.size).toBe(english.length);
});

/** Sources that may name a sentence. */
const sources = (): { file: string; text: string }[] =>
  execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', 'core', 'server', 'ui', 'app', 'headless', 'words'], {
    cwd: ROOT,
    encoding: 'utf8',
  })
    .split('\n')
    .filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$/.test(f) && !/^words\/(en|de)\//.test(f))
    .map((file) => ({ file, text: readFileSync(join(ROOT, file), 'utf8') }));

test('every sentence is named somewhere, and every sentence that is named is there', () => {
  const text = sources()
    .map((s) => s.text)
    .join('\n');
  const keys = new Set(english.map(([k]) => k));
  const exact = new Set([...text.matchAll(/'([\w-]+(?:\.[\w-]+)+)'/g)].map((m) => m[1]));
  for (const [call, part] of Object.entries(UNDER))
    for (const [, key] of text.matchAll(new RegExp(`\\b${call}\\(\\s*(?:[^()'\`]*\\? ?)?'([\\w.-]+)'`, 'g'))) exact.add(`${part}.${key}`);
  for (const [, a, b] of text.matchAll(/\b(?:sentence|saying)\([^()'`]*\? '([\w.-]+)' : '([\w.-]+)'/g))
    [a, b].forEach((k) => exact.add(`errors.${k}`));
  const patterns = [...text.matchAll(/`((?:[\w-]+\.)+(?:[\w.-]|\$\{[^}`]*\})*)`/g)]
    .map((m) => m[1])
    .filter((t) => t.includes('${'))
    .concat([...text.matchAll(/\b(?:sentence|saying)\(`([^`]*)`/g)].map((m) => `errors.${m[1]}`))
    .map((t) => new RegExp(`^${escaped(t.replace(/\$\{[^}]*\}/g, '\0')).replaceAll('\0', '[\\w.-]+')}$`));
  // What is said of a feature is asked for by the feature's own name; core/style has each said.
  const named = (key: string) => key.startsWith('features.') || exact.has(key) || patterns.some((p) => p.test(key));
  expect([...keys].filter((k) => !named(k))).toEqual([]);
  const asked = [...text.matchAll(/\b(?:message|say)\(\s*'([\w.-]+)'/g)].map((m) => m[1]);
  expect(asked.length).toBeGreaterThan(300);
  expect(asked.filter((k) => !keys.has(k))).toEqual([]);
  for (const [call, part] of Object.entries(UNDER))
    for (const [, key] of text.matchAll(new RegExp(`\\bnew ${call}\\('([\\w.-]+)'`, 'g'))) expect(keys).toContain(`${part}.${key}`);
});

test('whatever stands in a sentence is given where the sentence is said', () => {
  const wanted = english.map(([key, text]) => ({ key, names: argumentsOf(text) }));
  const calls = sources().flatMap(({ file, text }) => callsIn(file, text));
  expect(calls.length).toBeGreaterThan(1000);
  const lacking = calls.flatMap(({ file, line, key, exact, given }) => {
    const meant = wanted.filter((w) => key.test(w.key)).map((w) => ({ key: w.key, names: w.names.filter((n) => !given.includes(n)) }));
    const unfit = meant.filter((m) => m.names.length);
    return exact || unfit.length === meant.length ? unfit.map((m) => `${file}:${line} ${m.key} lacks ${m.names.join(', ')}`) : [];
  });
  expect(lacking).toEqual([]);
  // The check sees what it should.
  const [seen] = callsIn('a.tsx', "say(`pieces.${x ? 'state' : 'other'}`, { state: 1, ...(a ? { told } : {}) })");
  expect([seen.given, seen.key.test('pieces.state'), seen.key.test('plan.state')]).toEqual([['state', 'told'], true, false]);
});

test('the words of the house: nothing is surely so, no name from inside the program, no gap that is only “measured”', () => {
  for (const [key, text] of english)
    for (const form of everyForm(text)) {
      expect([key, form]).toEqual([
        key,
        expect.not.stringMatching(/\bsurely\b|\bobviously\b|\bsimply\b|measured (gap|angle|spacing)|Click on the where/i),
      ]);
      expect([key, form]).toEqual([key, expect.not.stringMatching(/\b(marks|colour|value|edges|place|composition)\.[a-z]/)]);
    }
});

let hunspell: HunspellFactory;
beforeAll(async () => {
  hunspell = await loadModule();
});

interface Speller {
  spell(word: string): boolean;
}

function speller(name: string, own: readonly string[]): Speller {
  const file = (ending: string) =>
    hunspell.mountBuffer(readFileSync(join(ROOT, 'node_modules', name, `index.${ending}`)), `${name}.${ending}`);
  const dictionary = hunspell.create(file('aff'), file('dic'));
  const known = new Set(own);
  return { spell: (word) => known.has(word) || dictionary.spell(word) };
}

/** Names, terms of the trade and formats that no dictionary lists. */
const OWN = [
  'PB',
  'CSV',
  'SVG',
  'WebP',
  'JPEG',
  'PNG',
  'TIFF',
  'HEIC',
  'CMYK',
  'RGB',
  'JSON',
  'kB',
  'MB',
  'px',
  'ml',
  'ms',
  'mysql',
  'WxH',
  'ZIP',
  'ASTM',
  'EN',
  'HB',
  'MariaDB',
  'Vitruvius',
  'ΔE',
  'Δ',
  'signup',
];
/** Compounds and terms of the trade that the German dictionary does not build. */
const OWN_GERMAN =
  'Titanweiß Abtönung Abtönungen Hansagelb Pyrrolorange Naphtholrot Chinacridonrosa Siena natur Ultramarinblau Phthaloblau Phthalogrün Chromoxidgrün Rußschwarz Pyrrolrot Primärgelb Primärrot Primärblau Laubgrün Hellbraun Zitronengelb Fleischocker Karmin Preußischblau Kobaltblau Hellgrün CSV-Datei CSV-Tabelle SVG-Zeichnung Escape Passepartout Beiseitegelegt beiseitelegen Blauschwarz Bruna Deckweiß Dunkelheiten Dunkels Fixativ Gelborange Färbekraft Geradheit Gischt Gouache Graukarte Grünschwarz Herumgehen Hexadezimalziffern Lavieren Lavierung Lavierungen Megapixel Min Neuntel lasierend Ölkreide Ölkreiden Old Pastell Plakatfarbe Pastellkreide Pastellkreiden Pinselspuren Scan Rosenrot Widerrist auseinanderrücken voreinanderrücken Brauenlinie Schnabelspitze Rubbelkrepp Schmierer Tausendsteln Transparentpapier Tuschenapf unfixiert verrieben verriebene Vitruv abrubbeln anlösen darübergehen darüberlegen dazunehmen dazusetzen durchpausen durchzeichnen einwalzen graubraunem hineintupfen lavieren nässen spitzeren vieren vollgestellt wegdrehen wegradieren Unfixiert Verriebene Beiseitelegen Lots Schaber Fundstücke Millilitern Grafitblock Schablonenkarton Tablet Verdünnungsstreifens stricheln andrücken herausfiele daruntergelaufen außermittig'.split(
    ' ',
  );
/** Values of options and names of fields, which are the same in every language. */
const CODES = 'open closed code copy name pigment masstone Colour Index tint parts format steps'.split(' ');
const OWN_ENGLISH = [
  // Pigments by their own names.
  ...'hansa pyrrole naphthol quinacridone phthalo'.split(' '),
  'lightfastness',
  'Lightfastness',
  'Bruna',
  'darks',
  'masstone',
  'handers',
  'ochre',
  'hatcher',
  'placings',
  'png',
  'pinholes',
  'unread',
  'burnish',
  'burnt',
  'blotched',
];

/** What is spelt otherwise on purpose: field names, options, addresses and codes. */
const NO_WORDS =
  /‹[^›]*›|“[^”]*”|„[^“]*“|--[\w-]+|\b[\w.]+:\/\/\S+|\b[A-Z_]{5,}\b|#\w+|\b\w+\.(png|json)\b|\bD-4236\b|[A-Za-z]+(?:\.[a-z]+)+|^[a-z]+(?:[A-Z-]\w*)*(?: ‹\w+›)?(?=:)|\bcolour \{?|^patch\b|\.png-Datei/g;

const wordsIn = (form: string) => form.replace(NO_WORDS, ' ').match(/\p{L}[\p{L}’-]*/gu) ?? [];

function misspelt(messages: [string, string][], check: Speller): string[] {
  const out: string[] = [];
  for (const [key, text] of messages)
    for (const form of everyForm(text))
      for (const word of wordsIn(form)) {
        const plain = word.replaceAll('’', "'").replace(/'s$|'$/, '');
        const known = (w: string) => w.length < 2 || check.spell(w) || check.spell(w.toLowerCase());
        if (!known(plain) && !plain.split('-').every(known)) out.push(`${key}: ${word}`);
      }
  return [...new Set(out)];
}

test('every form of every sentence is spelt as British dictionaries spell it, and as American ones', () => {
  expect(misspelt(english, speller('dictionary-en-gb', [...OWN, ...OWN_ENGLISH]))).toEqual([]);
  expect(misspelt(messagesOf(american(en)), speller('dictionary-en', [...OWN, ...OWN_ENGLISH]))).toEqual([]);
});

test('every form of every German sentence is spelt as its dictionary spells it', () => {
  expect(misspelt(german, speller('dictionary-de', [...OWN, ...OWN_GERMAN, ...CODES]))).toEqual([]);
});

test('the made-up language leaves no plain vowel in any form, and keeps what stands in it', () => {
  for (const [key, text] of messagesOf(pseudo(en)))
    for (const form of everyForm(text))
      expect([key, form.replace(/‹[^›]*›/g, '')]).toEqual([key, expect.not.stringMatching(/[aeiouyAEIOUY]/)]);
});

const say = speaker(en, PLAIN_VOICE);

test('sizes in mm or inches, numbers and lists as each language writes them', () => {
  const inches = speaker(en, { ...PLAIN_VOICE, units: 'inch' });
  const german = speaker(de, { ...PLAIN_VOICE, language: 'de' });
  expect([say.amount(1.62, 'mm'), say.amount(297, 'mm'), say.amount(0.4, 'mm')]).toEqual(['1.6 mm', '297 mm', '0.40 mm']);
  // One inch is 25.4 mm exactly (international yard and pound agreement, 1959).
  expect([inches.amount(25.4, 'mm'), inches.amount(1.62, 'mm')]).toEqual(['1.00 in', '0.064 in']);
  expect([german.amount(1.62, 'mm'), german.number(12345.6, 1)]).toEqual(['1,6 mm', '12.345,6']);
  expect([say.amount(0.012, 'share'), say.amount(0.5, 'share'), say.amount(-0, 'share')]).toEqual(['1.2 %', '50 %', '0 %']);
  const screen = speaker(en, PLAIN_VOICE, 'screen');
  expect([screen.amount(1.62, 'mm'), screen.amount(0.5, 'share'), screen.amount(4, 'heads')]).toEqual([
    '1.6\u00a0mm',
    '50\u00a0%',
    '4.0 heads',
  ]);
  expect([say.number(-0.2), say.amount(-3.4, 'degrees')]).toEqual(['0', '−3°']);
  expect([say.list(['a', 'b', 'c']), german.list(['a', 'b', 'c'])]).toEqual(['a, b and c', 'a, b und c']);
  expect(speaker(american(en), { ...PLAIN_VOICE, spelling: 'american' }).list(['a', 'b', 'c'])).toBe('a, b, and c');
  expect([say.day('2026-11-26'), german.day('2026-11-26')]).toEqual(['26 November 2026', '26. November 2026']);
});

test('what stands in a sentence is said in the same voice, however deep', () => {
  const inner = message('mixing.parts', { n: 2, paint: typed('{burnt} umber, l’ancien') });
  expect(say('report.recipe', { parts: several([inner, inner]), miss: message('mixing.near') })).toBe(
    '2 parts {burnt} umber, l’ancien and 2 parts {burnt} umber, l’ancien: very near the colour asked for.',
  );
  expect(say(amount(40, 'permille'))).toBe('40 thousandths of the width');
  expect(say(figure(1.25, 1))).toBe('1.3');
});

test('American spelling touches the sentences, never what people typed', () => {
  const us = speaker(american(en), { ...PLAIN_VOICE, spelling: 'american' });
  expect(us('features.colour.chroma.title')).toBe('Strength of color');
  expect(us('readings.evidence.one', { title: typed('Grey colour study') })).toBe('Measured on “Grey colour study”.');
});

test('a browser’s list of languages is answered with the best that is spoken here', () => {
  expect(negotiated('de-AT,de;q=0.9,en;q=0.5')).toBe('de');
  expect(negotiated('fr,en;q=0.4,de;q=0.7')).toBe('de');
  expect(negotiated('de;q=0, en')).toBe('en');
  expect([negotiated(null), negotiated(''), negotiated('tlh, *;q=0.1')]).toEqual(['en', 'en', 'en']);
  // The made-up languages are for looking, and no browser gets them by asking.
  expect(negotiated('ar-x-pseudo')).toBe('en');
});
