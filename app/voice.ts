/** Knows in which voice a page is to speak: the teacher's own, or as the browser asks for. */
import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { cache } from 'react';
import { languagesHere } from '@/server/languages';
import type { Key } from '@/words/catalogue';
import { negotiated, sentencesOf } from '@/words/languages';
import { PLAIN_VOICE, Say, speaker, Voice } from '@/words/say';
import { signedIn } from './session';

/** Looked up once a request. While the database is away a page can still say so. */
export const voiceHere = cache(async (): Promise<Voice> => {
  const asked = negotiated((await headers()).get('accept-language'), languagesHere());
  try {
    const settings = (await signedIn())?.settings;
    return settings
      ? { language: settings.language ?? asked, spelling: settings.spelling, units: settings.units }
      : { ...PLAIN_VOICE, language: asked };
  } catch {
    // Whatever went wrong, the page itself meets it too and says so.
    return { ...PLAIN_VOICE, language: asked };
  }
});

export async function sayHere(): Promise<Say> {
  const voice = await voiceHere();
  return speaker(await sentencesOf(voice), voice, 'screen');
}

/** A page's title as the browser shows it. */
export const titled = (key: Key) => async (): Promise<Metadata> => ({ title: (await sayHere())(key) });
