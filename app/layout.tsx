import '@fontsource/literata/400.css';
import '@fontsource/literata/600.css';
import '@fontsource/source-sans-3/400.css';
import '@fontsource/source-sans-3/600.css';
import './globals.css';
import { LANGUAGES } from '@/words/languages';
import { ServerState } from '@/ui/shared/server/ServerState';
import { Words } from '@/ui/words/Words';
import { themeHere } from './session';
import { sayHere, voiceHere } from './voice';
import { Alive } from '@/ui/shared/Alive';
import type { Metadata } from 'next';
import type { ReactNode } from 'react';

export async function generateMetadata(): Promise<Metadata> {
  const say = await sayHere();
  const name = say('app.name');
  return { title: { default: name, template: `%s · ${name}` }, description: say('app.tagline') };
}

export default async function RootLayout({ children }: { children: ReactNode }) {
  const voice = await voiceHere();
  const { locale, american, direction } = LANGUAGES[voice.language];
  return (
    <html lang={(voice.spelling === 'american' && american) || locale} dir={direction} data-theme={await themeHere()}>
      <body className="min-h-screen bg-base-100 text-base-content">
        <Alive />
        <Words voice={voice}>
          <ServerState>{children}</ServerState>
        </Words>
      </body>
    </html>
  );
}
