'use client';
import './globals.css';
import { PageError } from '@/ui/shared/PageError';

const again = () => window.location.reload();

export default function EverythingFailed() {
  return (
    <html lang="en-GB">
      <body className="min-h-screen bg-base-100 text-base-content">
        <PageError retry={again} />
      </body>
    </html>
  );
}
