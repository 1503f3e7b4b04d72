/** Knows which languages there are, how each writes numbers and which way it runs, and where its sentences are fetched from. */
import type { Catalogue } from './catalogue';
import { american } from './spelling';

interface LanguageOf {
  /** As it calls itself. */
  name: string;
  locale: string;
  /** The locale in American spelling, where there is a choice. */
  american?: string;
  direction: 'ltr' | 'rtl';
  /** Keeps what people typed apart from the sentence round it. */
  isolates: boolean;
  /** Made up for looking whether every sentence is translated; offered to nobody. */
  pseudo?: true;
  sentences: () => Promise<Catalogue>;
}

const english = async (): Promise<Catalogue> => (await import('./en')).en;
const madeUp = async (): Promise<Catalogue> => (await import('./pseudo')).pseudo(await english());

const SPOKEN = {
  en: { name: 'English', locale: 'en-GB', american: 'en-US', direction: 'ltr', isolates: false, sentences: english },
  de: { name: 'Deutsch', locale: 'de-DE', direction: 'ltr', isolates: false, sentences: async () => (await import('./de')).de },
  'en-x-pseudo': { name: 'Pseudo', locale: 'en-GB', direction: 'ltr', isolates: true, pseudo: true, sentences: madeUp },
  'ar-x-pseudo': { name: 'Pseudo, right to left', locale: 'en-GB', direction: 'rtl', isolates: true, pseudo: true, sentences: madeUp },
} as const satisfies Record<string, LanguageOf>;

export type Language = keyof typeof SPOKEN;

export const LANGUAGES: Readonly<Record<Language, LanguageOf>> = SPOKEN;

export const isLanguage = (code: string): code is Language => Object.hasOwn(LANGUAGES, code);

/** Languages a teacher can choose. */
export const CHOSEN = (Object.keys(LANGUAGES) as Language[]).filter((l) => !LANGUAGES[l].pseudo);

/** The made-up ones as well, where somebody looks whether everything is translated. */
export const offeredLanguages = (pseudo: boolean): readonly Language[] => (pseudo ? (Object.keys(LANGUAGES) as Language[]) : CHOSEN);

const fetched = new Map<string, Promise<Catalogue>>();

/** The sentences of a language in a spelling; fetched once. */
export function sentencesOf({ language, spelling }: { language: Language; spelling: 'british' | 'american' }): Promise<Catalogue> {
  const respelt = spelling === 'american' && LANGUAGES[language].american !== undefined;
  const key = respelt ? `${language} ${spelling}` : language;
  let asked = fetched.get(key);
  if (!asked) {
    asked = LANGUAGES[language].sentences();
    if (respelt) asked = asked.then(american);
    // What failed, as over a lost connection, is asked for again.
    asked.catch(() => fetched.delete(key));
    fetched.set(key, asked);
  }
  return asked;
}

/** The language of a list such as a browser sends, best first; English where none is spoken here. */
export function negotiated(accepted: string | null, offered: readonly Language[] = CHOSEN): Language {
  const wanted = (accepted ?? '')
    .split(',')
    .map((part) => {
      const [code, q] = part.trim().split(/;\s*q=/);
      return { code: code.toLowerCase(), q: q === undefined ? 1 : Number(q) || 0 };
    })
    .filter(({ code, q }) => code && q > 0)
    .sort((a, b) => b.q - a.q);
  const spoken = (code: string): Language | undefined => offered.find((l) => l === code) ?? offered.find((l) => l === code.split('-')[0]);
  return wanted.map(({ code }) => spoken(code)).find((l) => l !== undefined) ?? 'en';
}
