/** Prints every form of every sentence, one a line, with its key: to be read aloud from top to bottom. */
import { CHOSEN, isLanguage, sentencesOf } from '../../words/languages';
import { everyForm, messagesOf } from './forms';

const [language = 'en', spelling = 'british'] = process.argv.slice(2);
if (!isLanguage(language) || !CHOSEN.includes(language)) throw new Error(`languages are ${CHOSEN.join(', ')}`);
void sentencesOf({ language, spelling: spelling === 'american' ? 'american' : 'british' }).then((catalogue) => {
  for (const [key, message] of messagesOf(catalogue)) for (const form of everyForm(message)) process.stdout.write(`${key}\t${form}\n`);
});
