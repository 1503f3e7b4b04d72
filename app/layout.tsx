import '@fontsource/literata/400.css';
import '@fontsource/literata/600.css';
import '@fontsource/source-sans-3/400.css';
import '@fontsource/source-sans-3/600.css';
import './globals.css';
import { Alive } from '@/ui/shared/Alive';
import type { Metadata } from 'next';
import type { ReactNode } from 'react';

export const metadata: Metadata = {
  title: { default: 'Old Hand', template: '%s · Old Hand' },
  description: 'The measured study of a master’s style',
};

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en-GB">
      <body className="min-h-screen bg-base-100 text-base-content">
        <Alive />
        {children}
      </body>
    </html>
  );
}
