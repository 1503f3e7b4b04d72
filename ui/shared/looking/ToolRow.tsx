'use client';
import { Eye, FlipHorizontal2, FlipVertical2, Grid3x3, Layers2, Search, SquareSplitHorizontal } from 'lucide-react';
import { Message, message, typed } from '@/core/message';
import { KeyboardEvent, useState } from 'react';
import { LayerMenu } from '../layers/LayerMenu';
import { useLayersHere } from '../layers/Layers';
import { LAYERS } from '../layers/layers';
import { Looking, TOOLS, ToolName } from './tools';
import { useSay } from '../../words/Words';

const ICONS: Record<ToolName, typeof Eye> = {
  squint: Eye,
  values: Layers2,
  mirror: FlipHorizontal2,
  flip: FlipVertical2,
  grid: Grid3x3,
  quarters: SquareSplitHorizontal,
  lens: Search,
};

interface Props {
  on: Looking;
  toggle: (name: ToolName) => void;
  help: boolean;
  setHelp: (v: boolean) => void;
  only?: readonly ToolName[];
  /** Keys of the bench's own, listed with the rest. */
  more?: readonly { key: string; label: Message; hint: Message }[];
}

/** The looking tools in a row, each with its key; `?` lists them. */
export function ToolRow({ on, toggle, help, setHelp, only, more = [] }: Props) {
  const say = useSay();
  const layers = useLayersHere();
  const keys = [
    ...more,
    ...(layers
      ? LAYERS.map(({ name, key }) => ({ key, label: message(`layers.${name}.label`), hint: message(`layers.${name}.hint`) }))
      : []),
  ];
  const shown = TOOLS.filter((t) => !only || only.includes(t.name)).map((t) => ({
    ...t,
    label: message(`bench.${t.name}.label`),
    hint: message(`bench.${t.name}.hint`),
  }));
  // One stop for the tab key; arrows go from tool to tool.
  const [stop, setStop] = useState(0);
  const step = (e: KeyboardEvent<HTMLDivElement>) => {
    const buttons = [...e.currentTarget.querySelectorAll('button')];
    const at = buttons.indexOf(e.target as HTMLButtonElement);
    const forward = getComputedStyle(e.currentTarget).direction === 'rtl' ? 'ArrowLeft' : 'ArrowRight';
    const back = forward === 'ArrowLeft' ? 'ArrowRight' : 'ArrowLeft';
    const to = { [forward]: at + 1, [back]: at - 1, Home: 0, End: buttons.length - 1 }[e.key];
    if (at < 0 || to === undefined) return;
    e.preventDefault();
    const next = (to + buttons.length) % buttons.length;
    setStop(next);
    buttons[next].focus();
  };
  return (
    <div className="relative min-w-0">
      <div
        className="flex items-center gap-0.5 max-lg:overflow-x-auto lg:flex-wrap"
        role="toolbar"
        aria-label={say('bench.tools')}
        onKeyDown={step}
      >
        {shown.map(({ name, key, label, hint }, i) => {
          const Icon = ICONS[name];
          return (
            <button
              key={name}
              type="button"
              tabIndex={i === stop ? 0 : -1}
              aria-pressed={on[name]}
              title={say('bench.tool', { hint, key: typed(key) })}
              onClick={() => toggle(name)}
              className={`flex flex-none items-center gap-1 rounded px-1.5 py-1 text-sm ${on[name] ? 'bg-neutral text-neutral-content' : 'hover:bg-base-300'}`}
            >
              <Icon aria-hidden className="size-4" />
              {say(label)}
              <kbd className="text-xs opacity-80 pointer-coarse:hidden">{say.typed(key)}</kbd>
            </button>
          );
        })}
        <button
          type="button"
          tabIndex={stop === shown.length ? 0 : -1}
          aria-expanded={help}
          className="flex-none rounded px-2 py-1 text-sm hover:bg-base-300 pointer-coarse:hidden"
          onClick={() => setHelp(!help)}
        >
          ? <span className="sr-only">{say('bench.allKeys')}</span>
        </button>
        {layers && <LayerMenu tabIndex={stop === shown.length + 1 ? 0 : -1} />}
      </div>
      {help && (
        <dl className="absolute top-full start-0 z-20 max-h-[70vh] w-max max-w-[90vw] overflow-y-auto border border-base-300 bg-base-100 p-3 text-sm shadow-md">
          {shown.map((t) => (
            <div key={t.name} className="flex gap-3">
              <dt className="w-44 flex-none font-semibold">
                {say.typed(t.key)} · {say(t.label)}
              </dt>
              <dd>{say('bench.tapOrHold', { hint: t.hint })}</dd>
            </div>
          ))}
          {keys.map((t) => (
            <div key={t.key} className="flex gap-3">
              <dt className="w-44 flex-none font-semibold">
                {say.typed(t.key)} · {say(t.label)}
              </dt>
              <dd>{say(t.hint)}</dd>
            </div>
          ))}
        </dl>
      )}
    </div>
  );
}
