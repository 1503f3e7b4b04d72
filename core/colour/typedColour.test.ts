import { parse, converter } from 'culori';
import { labFromHex } from './lab';
import { typedColour } from './typedColour';

test.each([
  ['#1A2b3C', '#1a2b3c'],
  ['1a2b3c', '#1a2b3c'],
  [' #abc ', '#aabbcc'],
])('%s is %s', (text, hex) => expect(typedColour(text)).toEqual({ hex }));

test.each(['62 14 48', '62, 14, 48', '62,0 14,0 48,0', 'Lab 62.0; 14.0; 48.0', 'lab(62 14 48)', '62 +14 48'])(
  '%s is that Lab colour',
  (text) => {
    const read = typedColour(text);
    if (!('hex' in read)) throw new Error(text);
    labFromHex(read.hex).forEach((v, i) => expect(Math.abs(v - [62, 14, 48][i])).toBeLessThan(0.4));
  },
);

/** Lab with D65 white against culori, an outside library. */
test('Lab typed gives the outside library’s colour', () => {
  const lab = converter('lab65')(parse('#bd8f3a'))!;
  expect(typedColour(`${lab.l} ${lab.a} ${lab.b}`)).toEqual({ hex: '#bd8f3a' });
});

test('what no screen shows, and what is no colour, are told apart', () => {
  expect(typedColour('50 120 -120')).toEqual({ wrong: 'outside' });
  for (const text of ['', 'red', '#12', '120 0 0', '1 2', '#ggg']) expect(typedColour(text)).toEqual({ wrong: 'form' });
});
