import { object, string } from 'yup';
import { saveSettings, settingsOf } from '@/server/accounts/settings';
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
  timeZone: string().max(60).defined().default('UTC'),
});

export const GET = handle(({ teacher }) => settingsOf(teacher.id));

export const PUT = handle(async ({ teacher, request }) => saveSettings(teacher.id, await body(request, schema)));
