import { object, string } from 'yup';
import { typed } from '@/core/message';
import { saying } from '@/server/validation';
import { languagesHere } from '@/server/languages';
import type { Language } from '@/words/languages';
import { isTimeZone, saveSettings } from '@/server/accounts/settings';
import { body, handle } from '@/server/door/http';

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
    .test('language', saying('field.unknown', { name: typed('language') }), (l) => l === null || languagesHere().includes(l)),
  theme: string()
    .oneOf(['auto', 'day', 'night'] as const)
    .defined()
    .default('auto'),
  timeZone: string()
    .max(60)
    .defined()
    .default('UTC')
    .test('timeZone', saying('timeZone'), (z) => isTimeZone(z)),
});

export const GET = handle(({ teacher }) => Promise.resolve(teacher.settings));

export const PUT = handle(async ({ teacher, request }) => saveSettings(teacher.id, await body(request, schema)));
