'use client';
import { useEffect } from 'react';
import { text } from '../text/en';
import { Trouble } from './Trouble';

const t = text.trouble;
const SOON = 4000;

/** A page that could not be made: it tries again by itself, since most such troubles pass. */
export function PageError({ retry }: { retry: () => void }) {
  useEffect(() => {
    const timer = setTimeout(retry, SOON);
    return () => clearTimeout(timer);
  }, [retry]);
  return (
    <Trouble
      title={t.title}
      actions={
        <>
          <button type="button" className="btn btn-primary" onClick={retry}>
            {t.again}
          </button>
          <a className="btn" href="/studies">
            {t.home}
          </a>
        </>
      }
    >
      <p>{t.what}</p>
      <p>{t.soon}</p>
    </Trouble>
  );
}
