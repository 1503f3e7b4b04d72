'use client';
import { createContext, ReactNode, use, useContext, useMemo } from 'react';
import { sentencesOf } from '@/words/languages';
import { Say, speaker, Voice } from '@/words/say';

const Spoken = createContext<Say | null>(null);

/** Gives everything inside a voice; the sentences of its language are fetched once. */
export function Words({ voice, children }: { voice: Voice; children: ReactNode }) {
  const { language, spelling, units } = voice;
  const sentences = use(sentencesOf(voice));
  const say = useMemo(() => speaker(sentences, { language, spelling, units }, 'screen'), [sentences, language, spelling, units]);
  return <Spoken value={say}>{children}</Spoken>;
}

/** Puts messages into the words of whoever reads this page. */
export function useSay(): Say {
  const say = useContext(Spoken);
  if (!say) throw new Error('no voice: this stands outside Words');
  return say;
}
