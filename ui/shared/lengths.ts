/** Knows lengths as they are typed and shown in a field: in mm or inches, with the language's decimal sign and without parted thousands. */
import type { Say } from '@/words/say';

const INCH = 25.4;

/** `shown` writes mm into a field, `mmOf` reads it back; NaN where it is no number. */
export function lengthsFor(say: Say): { shown: (mm: number) => string; mmOf: (text: string) => number } {
  const inches = say.voice.units === 'inch';
  const sign = say.number(0.5, 1)[1];
  return {
    shown: (mm) => (inches ? (mm / INCH).toFixed(2) : String(mm)).replace('.', sign),
    mmOf: (text) => Number(text.trim().replace(',', '.')) * (inches ? INCH : 1),
  };
}
