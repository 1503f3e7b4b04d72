'use client';
import { useSyncExternalStore } from 'react';
import { listen, stateOfAll } from './drafts';
import { useSay } from '../../words/Words';

/** Whether everything typed on this page has been saved. */
export function SaveState() {
  const say = useSay();
  const state = useSyncExternalStore(listen, stateOfAll, () => null);
  const keys = { typing: 'shared.unsaved', saving: 'shared.saving', failed: 'shared.failed' } as const;
  return <span role="status">{say(state === null ? 'shared.saved' : keys[state])}</span>;
}
