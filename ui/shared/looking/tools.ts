'use client';
import { useCallback, useEffect, useState } from 'react';

export type ToolName = 'squint' | 'values' | 'mirror' | 'flip' | 'grid' | 'quarters' | 'lens';

export const TOOLS: readonly { name: ToolName; key: string }[] = [
  { name: 'squint', key: 's' },
  { name: 'values', key: 'v' },
  { name: 'mirror', key: 'm' },
  { name: 'flip', key: 'u' },
  { name: 'grid', key: 'g' },
  { name: 'quarters', key: 'q' },
  { name: 'lens', key: 'l' },
];

export type Looking = Record<ToolName, boolean>;
/** A picture seen as it is. */
export const PLAIN = Object.fromEntries(TOOLS.map((t) => [t.name, false])) as Looking;

/** Is this where letters are typed or chosen by? */
export const inField = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement
    ? !/^(checkbox|radio|range|file|button|submit)$/.test(target.type)
    : target instanceof HTMLElement && (target.isContentEditable || /^(TEXTAREA|SELECT)$/.test(target.tagName));

/** Which looking tools are on. A short press of a key toggles its tool; a key held longer shows it only while held. */
export function useLooking(): {
  on: Looking;
  toggle: (name: ToolName) => void;
  help: boolean;
  setHelp: (v: boolean) => void;
} {
  const [on, setOn] = useState<Looking>(PLAIN);
  const [help, setHelp] = useState(false);
  const toggle = useCallback((name: ToolName) => setOn((o) => ({ ...o, [name]: !o[name] })), []);
  useEffect(() => {
    const since = new Map<string, number>();
    const down = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || inField(e.target)) return;
      if (e.key === '?') setHelp((h) => !h);
      if (e.key === 'Escape') setHelp(false);
      const tool = TOOLS.find((t) => t.key === e.key.toLowerCase());
      if (!tool || e.repeat) return;
      since.set(tool.key, Date.now());
      toggle(tool.name);
    };
    const up = (e: KeyboardEvent) => {
      const tool = TOOLS.find((t) => t.key === e.key.toLowerCase());
      const begun = tool && since.get(tool.key);
      if (!tool || begun === undefined) return;
      since.delete(tool.key);
      if (Date.now() - begun > 350) toggle(tool.name);
    };
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    return () => {
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
    };
  }, [toggle]);
  return { on, toggle, help, setHelp };
}
