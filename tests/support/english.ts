/** Messages in plain English, as a teacher with no settings of their own reads them. */
import { CoreError } from '../../core/errors';
import { en } from '../../words/en';
import { PLAIN_VOICE, speaker } from '../../words/say';

export const english = speaker(en, PLAIN_VOICE);

/** What the computation tells whoever gives it something it cannot use; fails where it takes it. */
export function toldBy(work: () => unknown): string {
  try {
    work();
  } catch (error) {
    if (error instanceof CoreError) return english(error.said);
    throw error;
  }
  throw new Error('nothing was told');
}
