/** Knows that this process is about to end: what is under way is counted, and what waits for news is told to go. */
interface State {
  ending: boolean;
  underWay: number;
}

// Kept on the process: the pages' and the runner's bundles each have a copy of this module.
const holder = globalThis as { __oldhandEnding?: State };
const state = (): State => (holder.__oldhandEnding ??= { ending: false, underWay: 0 });

export const isEnding = (): boolean => state().ending;
export const underWay = (): number => state().underWay;
export const beginEnding = (): void => void (state().ending = true);

/** Counts a request while it is being answered, so that a clean stop waits for it. */
export async function counted<T>(work: () => Promise<T>): Promise<T> {
  state().underWay += 1;
  try {
    return await work();
  } finally {
    state().underWay -= 1;
  }
}
