'use client';
import { ComponentProps, useCallback, useEffect, useRef, useState } from 'react';
import { keepDraft, readDraft, tellState } from './drafts';

const PAUSE = 700;

interface Own {
  /** What the text belongs to, as `work:ID:title`: it is kept under this name and saved to nothing else. */
  place: string;
  stored: string;
  /** Saves the text; says whether that went well. */
  onSave: (text: string) => Promise<boolean>;
  /** Text that is only half typed, as an empty title or a first figure: not saved until the field is left, which then tells what is wrong with it. */
  skip?: (text: string) => boolean;
}

/** Text that saves itself a moment after the last key, and is not lost by a reload in between. */
function useTyped({ place, stored, onSave, skip }: Own) {
  const [text, setText] = useState(stored);
  const live = useRef({ text: stored, stored, onSave, skip, saving: false });
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  useEffect(() => {
    live.current.onSave = onSave;
    live.current.skip = skip;
    // A newer stored text is shown, unless somebody is typing here.
    if (live.current.text === live.current.stored && stored !== live.current.text) {
      live.current.text = stored;

      setText(stored);
    }
    // What was typed has been stored meanwhile, by an earlier window that was being left: there is nothing more to save.
    if (live.current.stored !== stored && live.current.text === stored && !live.current.saving) {
      keepDraft(place, null);
      tellState(place, null);
    }
    live.current.stored = stored;
  }, [stored, onSave, skip, place]);
  const flush = useCallback(
    async (left = false) => {
      if (timer.current) clearTimeout(timer.current);
      timer.current = null;
      const now = live.current;
      if (now.saving) return;
      // What is typed while it is being saved is saved next.
      while (now.text !== now.stored && (left || !now.skip?.(now.text))) {
        const sent = now.text;
        now.saving = true;
        tellState(place, 'saving');
        const saved = await now.onSave(sent);
        now.saving = false;
        if (!saved) return tellState(place, 'failed');
        now.stored = sent;
      }
      if (now.text !== now.stored) return;
      keepDraft(place, null);
      tellState(place, null);
    },
    [place],
  );
  useEffect(() => {
    const draft = readDraft(place);
    if (draft && draft.text !== live.current.stored) {
      live.current.text = draft.text;
      // Read once after mounting: the server cannot know it.

      setText(draft.text);
      // What was typed over another state than is stored now is shown, and saved only when it is left again.
      if (draft.over === live.current.stored) void flush();
      else tellState(place, 'typing');
    } else if (draft) keepDraft(place, null);
    const leave = () => void flush();
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      void flush();
    };
  }, [place, flush]);
  const change = (next: string) => {
    const now = live.current;
    now.text = next;
    setText(next);
    keepDraft(place, { text: next, over: now.stored });
    tellState(place, 'typing');
    if (timer.current) clearTimeout(timer.current);
    timer.current = setTimeout(() => void flush(), PAUSE);
  };
  return { text, change, flush };
}

export function TypedInput({ place, stored, onSave, skip, ...rest }: Own & Omit<ComponentProps<'input'>, 'value' | 'onChange' | 'onBlur'>) {
  const { text, change, flush } = useTyped({ place, stored, onSave, skip });
  return <input {...rest} value={text} onChange={(e) => change(e.target.value)} onBlur={() => void flush(true)} />;
}

export function TypedArea({
  place,
  stored,
  onSave,
  skip,
  ...rest
}: Own & Omit<ComponentProps<'textarea'>, 'value' | 'onChange' | 'onBlur'>) {
  const { text, change, flush } = useTyped({ place, stored, onSave, skip });
  return <textarea {...rest} value={text} onChange={(e) => change(e.target.value)} onBlur={() => void flush(true)} />;
}
