/** What may be sent of oneself, checked before anything is stored. */
import { object, string } from 'yup';
import { saying, words } from '../validation';

export const oneselfSchema = object({
  name: words().min(1, saying('oneself.name')).max(120),
  email: words().email(saying('oneself.email')).max(190),
  newPassword: string().min(10, saying('oneself.short')).max(128, saying('oneself.long')),
  password: string().max(128),
});
