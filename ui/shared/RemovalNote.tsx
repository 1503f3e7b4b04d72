'use client';
import { useSay } from '../words/Words';

/** For how long what is removed can be brought back. */
export function RemovalNote() {
  const say = useSay();
  return <p className="text-xs">{say('shared.removal')}</p>;
}
