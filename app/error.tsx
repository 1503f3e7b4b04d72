'use client';
import { PageError } from '@/ui/shared/PageError';

const again = () => window.location.reload();

export default function PageFailed() {
  return <PageError retry={again} />;
}
