/** Knows how this server speaks where nobody has chosen a voice, as in logs and to programs that ask without a page. */
import type { Message } from '../core/message';
import { en } from '../words/en';
import { PLAIN_VOICE, speaker } from '../words/say';

const plain = speaker(en, PLAIN_VOICE);

export const plainly = (said: Message): string => plain(said);
