'use client';
import { useEffect } from 'react';
import { Trouble } from './Trouble';
import { useSay } from '../words/Words';

const SOON = 4000;

/** A page that could not be made: it tries again by itself, since most such troubles pass. */
export function PageError({ retry }: { retry: () => void }) {
  const say = useSay();
  useEffect(() => {
    const timer = setTimeout(retry, SOON);
    return () => clearTimeout(timer);
  }, [retry]);
  return (
    <Trouble
      title={say('trouble.title')}
      actions={
        <>
          <button type="button" className="btn btn-primary" onClick={retry}>
            {say('trouble.again')}
          </button>
          <a className="btn" href="/studies">
            {say('trouble.home')}
          </a>
        </>
      }
    >
      <p>{say('trouble.what')}</p>
      <p>{say('trouble.soon')}</p>
    </Trouble>
  );
}
