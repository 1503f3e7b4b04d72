'use client';
import { useEffect } from 'react';

/** Marks the document once the page has come alive. */
export function Alive() {
  useEffect(() => {
    document.documentElement.dataset.alive = 'true';
  }, []);
  return null;
}
