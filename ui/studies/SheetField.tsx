'use client';
import { RectangleHorizontal, RectangleVertical } from 'lucide-react';
import { useState } from 'react';
import { nameOfSheet, sheetInShape, sizeNamed, Strip, stripOf, STRIPS } from '@/core/lesson/sheets';
import { Message, message, typed } from '@/core/message';
import { Field } from '../shared/Field';
import { lengthsFor } from '../shared/lengths';
import { SheetOptions } from './SheetOptions';
import { useSay } from '../words/Words';

const OWN = '';
const keyOf = ({ paper, into }: Strip) => `${paper} / ${into}`;

interface Props {
  label: string;
  width: number;
  height: number;
  onSize: (width: number, height: number) => void;
  /** A work whose shape the sheet may have. */
  source?: { title: string; width: number; height: number } | null;
  problem?: Message | null;
}

/** A sheet by name, either way round, or by its sides in mm or inches. */
export function SheetField({ label, width, height, onSize, source, problem }: Props) {
  const say = useSay();
  const { units } = say.voice;
  const { shown, mmOf } = lengthsFor(say);
  const strip = stripOf(width, height);
  const name = nameOfSheet(width, height) ?? (strip && keyOf(strip));
  const [own, setOwn] = useState(name === null);
  const [text, setText] = useState<[string, string] | null>(null);
  const across = width > height;
  const type = (i: 0 | 1, value: string) => {
    const next: [string, string] = [...(text ?? [shown(width), shown(height)])];
    next[i] = value;
    setText(next);
    const [w, h] = next.map(mmOf);
    if (w > 0 && h > 0) onSize(w, h);
  };
  const give = (w: number, h: number) => {
    setText(null);
    onSize(w, h);
  };
  return (
    <div className="grid gap-2">
      <Field label={label} problem={problem}>
        <select
          className="select w-full"
          value={own || name === null ? OWN : name}
          onChange={(e) => {
            const size = sizeNamed(e.target.value) ?? STRIPS.find((s) => keyOf(s) === e.target.value)?.size;
            setOwn(!size);
            if (size) give(...(across ? ([size[1], size[0]] as const) : size));
          }}
        >
          <SheetOptions />
          <optgroup label={say('sheets.strips')}>
            {STRIPS.map((s) => (
              <option key={keyOf(s)} value={keyOf(s)}>
                {say('sheets.strip', { paper: typed(s.paper), into: s.into })}
              </option>
            ))}
          </optgroup>
          <option value={OWN}>{say('sheets.ownSize')}</option>
        </select>
      </Field>
      {own || name === null ? (
        <div className="grid grid-cols-2 gap-3">
          {([0, 1] as const).map((i) => (
            <Field key={i} label={say(i === 0 ? 'sheets.width' : 'sheets.height', { unit: message(`units.inPlace.${units}`) })}>
              <input
                className="input w-full"
                inputMode="decimal"
                value={(text ?? [shown(width), shown(height)])[i]}
                onChange={(e) => type(i, e.target.value)}
              />
            </Field>
          ))}
        </div>
      ) : (
        <div className="flex gap-2">
          {[true, false].map((wide) => (
            <button
              key={String(wide)}
              type="button"
              className={`btn btn-sm ${across === wide ? 'btn-neutral' : ''}`}
              aria-pressed={across === wide}
              onClick={() => across !== wide && give(height, width)}
            >
              {wide ? <RectangleHorizontal aria-hidden className="size-4" /> : <RectangleVertical aria-hidden className="size-4" />}
              {say(wide ? 'sheets.wide' : 'sheets.tall')}
            </button>
          ))}
        </div>
      )}
      {source && (
        <button
          type="button"
          className="btn btn-sm justify-self-start"
          onClick={() => {
            const paper = (name && sizeNamed(name)) || ([Math.min(width, height), Math.max(width, height)] as const);
            setOwn(true);
            give(...sheetInShape([source.width, source.height], paper));
          }}
        >
          {say('sheets.likeSource', { title: typed(source.title) })}
        </button>
      )}
    </div>
  );
}
