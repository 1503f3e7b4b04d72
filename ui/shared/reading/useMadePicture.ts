'use client';
import { useEffect, useRef, useState } from 'react';

/** A picture made by the worker, as an address; null while it is not wanted (no key) or not ready. `make` is asked again for another key only. */
export function useMadePicture(key: string | null, make: () => Promise<Blob>): string | null {
  const [made, setMade] = useState<{ key: string; url: string } | null>(null);
  const newest = useRef(make);
  useEffect(() => {
    newest.current = make;
  });
  useEffect(() => {
    if (!key) return;
    let stale = false;
    let url: string | null = null;
    void newest
      .current()
      .then((blob) => {
        if (stale) return;
        url = URL.createObjectURL(blob);
        setMade({ key, url });
      })
      .catch(() => undefined);
    return () => {
      stale = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [key]);
  return made && made.key === key ? made.url : null;
}
