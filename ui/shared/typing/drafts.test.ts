/** What is typed and not yet saved, kept by the thing it was typed on. */
import { keepDraft, listen, readDraft, stateOfAll, tellState } from './drafts';

const store = new Map<string, string>();
const storage = {
  getItem: (k: string) => store.get(k) ?? null,
  setItem: (k: string, v: string) => void store.set(k, v),
  removeItem: (k: string) => void store.delete(k),
};
beforeEach(() => {
  store.clear();
  Object.assign(globalThis, { sessionStorage: storage });
});

test('a draft is found under its own thing alone, with what was stored when it was typed', () => {
  keepDraft('work:1:title', { text: 'Evening ferry', over: 'Ferry' });
  expect(readDraft('work:1:title')).toEqual({ text: 'Evening ferry', over: 'Ferry' });
  expect(readDraft('work:2:title')).toBeNull();
  keepDraft('work:1:title', null);
  expect([readDraft('work:1:title'), store.size]).toEqual([null, 0]);
});

test('what another program or version left there is no draft, and a browser that keeps nothing loses nothing else', () => {
  for (const odd of ['', '{', 'null', '7', '{"text":7}', '{"text":"a"}', '[]']) {
    store.set('oldhand.typed:work:1:title', odd);
    expect([odd, readDraft('work:1:title')]).toEqual([odd, null]);
  }
  const refuse = () => {
    throw new Error('storage is off');
  };
  Object.assign(globalThis, { sessionStorage: { getItem: refuse, setItem: refuse, removeItem: refuse } });
  expect(() => keepDraft('a', { text: 'b', over: '' })).not.toThrow();
  expect(readDraft('a')).toBeNull();
});

test('the page tells its most pressing state: not saved before typing, typing before saving, then saved', () => {
  let heard = 0;
  const end = listen(() => heard++);
  expect(stateOfAll()).toBeNull();
  tellState('a', 'saving');
  tellState('b', 'typing');
  expect(stateOfAll()).toBe('typing');
  tellState('c', 'failed');
  expect(stateOfAll()).toBe('failed');
  for (const place of ['a', 'b', 'c']) tellState(place, null);
  expect([stateOfAll(), heard]).toEqual([null, 6]);
  end();
  tellState('a', 'typing');
  expect(heard).toBe(6);
  tellState('a', null);
});
