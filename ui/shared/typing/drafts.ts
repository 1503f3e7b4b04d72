/** Knows what has been typed and not yet saved: kept by the thing it was typed on, over a reload, until it is. */
export type TypingState = 'typing' | 'saving' | 'failed';

const PREFIX = 'oldhand.typed:';
const states = new Map<string, TypingState>();
const listeners = new Set<() => void>();

export interface Draft {
  text: string;
  /** What was stored when it was typed. */
  over: string;
}

/** Null where nothing is kept, or this browser keeps nothing. */
export function readDraft(place: string): Draft | null {
  try {
    const kept = JSON.parse(sessionStorage.getItem(PREFIX + place) ?? 'null') as Partial<Draft> | null;
    return typeof kept?.text === 'string' && typeof kept.over === 'string' ? (kept as Draft) : null;
  } catch {
    return null;
  }
}

export function keepDraft(place: string, draft: Draft | null): void {
  try {
    if (draft === null) sessionStorage.removeItem(PREFIX + place);
    else sessionStorage.setItem(PREFIX + place, JSON.stringify(draft));
  } catch {
    // Without storage the text still stands in its field.
  }
}

export function tellState(place: string, state: TypingState | null): void {
  if (state === null) states.delete(place);
  else states.set(place, state);
  for (const listener of listeners) listener();
}

export function listen(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** The most pressing state of all fields of the page; null where all is saved. */
export function stateOfAll(): TypingState | null {
  const all = [...states.values()];
  return (['failed', 'typing', 'saving'] as const).find((s) => all.includes(s)) ?? null;
}
