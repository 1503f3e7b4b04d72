import { object, string } from 'yup';
import { typed } from '@/core/message';
import { saying } from '@/server/validation';
import { isLanguage, Language, LANGUAGES } from '@/words/languages';
import { saveSettings } from '@/server/accounts/settings';
import { body, handle } from '@/server/door/http';

/** The made-up languages are there for looking whether everything is translated. */
const isOffered = (language: string): boolean =>
  isLanguage(language) && (!LANGUAGES[language].pseudo || process.env.OLDHAND_PSEUDO_LANGUAGES === 'on');

const schema = object({
  units: string()
    .oneOf(['mm', 'inch'] as const)
    .required(),
  spelling: string()
    .oneOf(['british', 'american'] as const)
    .required(),
  paper: string()
    .oneOf(['A4', 'Letter'] as const)
    .required(),
  hand: string()
    .oneOf(['right', 'left'] as const)
    .required(),
  language: string<Language>()
    .nullable()
    .defined()
    .default(null)
    .test('language', saying('field.unknown', { name: typed('language') }), (l) => l === null || isOffered(l)),
  timeZone: string().max(60).defined().default('UTC'),
});

export const GET = handle(({ teacher }) => Promise.resolve(teacher.settings));

export const PUT = handle(async ({ teacher, request }) => saveSettings(teacher.id, await body(request, schema)));
