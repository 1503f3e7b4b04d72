'use client';
import './globals.css';
import { useSyncExternalStore } from 'react';
import { PageError } from '@/ui/shared/PageError';
import { Words } from '@/ui/words/Words';
import { LANGUAGES, negotiated } from '@/words/languages';
import { PLAIN_VOICE } from '@/words/say';

const again = () => window.location.reload();
const never = () => () => undefined;

/** Where even the frame of the page could not be made, nobody's settings are known: the browser's language is spoken. */
export default function EverythingFailed() {
  const language = useSyncExternalStore(
    never,
    () => negotiated(navigator.languages.join(',')),
    () => PLAIN_VOICE.language,
  );
  return (
    <html lang={LANGUAGES[language].locale}>
      <body className="min-h-screen bg-base-100 text-base-content">
        <Words voice={{ ...PLAIN_VOICE, language }}>
          <PageError retry={again} />
        </Words>
      </body>
    </html>
  );
}
