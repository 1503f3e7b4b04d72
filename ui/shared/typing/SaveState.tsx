'use client';
import { useSyncExternalStore } from 'react';
import { text } from '../../text/en';
import { listen, stateOfAll } from './drafts';

/** Whether everything typed on this page has been saved. */
export function SaveState() {
  const state = useSyncExternalStore(listen, stateOfAll, () => null);
  const t = text.shared;
  const words = { typing: t.unsaved, saving: t.saving, failed: t.failed };
  return <span role="status">{state === null ? t.saved : words[state]}</span>;
}
