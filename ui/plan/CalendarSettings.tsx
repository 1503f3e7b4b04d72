'use client';
import { CalendarPlus, Plus, X } from 'lucide-react';
import { useState } from 'react';
import { BOUNDS } from '@/core/lesson/bounds';
import type { Calendar } from '@/core/lesson/calendar';
import { message, typed } from '@/core/message';
import { NumberInput } from '../shared/NumberInput';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  calendar: Calendar | null;
  /** Minutes of a period on every other day. */
  usual: number;
  onChange: (calendar: Calendar | null) => void;
}

/** From Monday on, which is day 1. */
const WEEK = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;
const today = (): string => new Date().toISOString().slice(0, 10);

/** When the class meets, and when not: then every period has its day, and can be taken into a calendar. */
export function CalendarSettings({ studyId, calendar, usual, onChange }: Props) {
  const say = useSay();
  const [off, setOff] = useState<[string, string]>(['', '']);
  if (!calendar)
    return (
      <button type="button" className="btn btn-sm mt-3" onClick={() => onChange({ from: today(), weekdays: [1], at: '09:00', off: [] })}>
        <CalendarPlus aria-hidden className="size-4" /> {say('plan.dates.begin')}
      </button>
    );
  const set = (part: Partial<Calendar>) => onChange({ ...calendar, ...part });
  const many = (day: number) => calendar.weekdays.filter((w) => w === day).length;
  return (
    <fieldset className="mt-3 grid gap-2">
      <legend className="font-semibold">{say('plan.dates.title')}</legend>
      <div className="flex flex-wrap gap-3 text-sm">
        <label className="grid gap-1">
          {say('plan.dates.from')}
          <input
            type="date"
            className="input input-sm"
            value={calendar.from}
            onChange={(e) => e.target.value && set({ from: e.target.value })}
          />
        </label>
        <label className="grid gap-1">
          {say('plan.dates.at')}
          <input
            type="time"
            className="input input-sm w-32"
            value={calendar.at}
            onChange={(e) => e.target.value && set({ at: e.target.value })}
          />
        </label>
      </div>
      <div className="grid gap-1 text-sm">
        <span>{say('plan.dates.weekdays')}</span>
        <div className="flex flex-wrap gap-1">
          {WEEK.map((name, i) => {
            const day = i + 1;
            return (
              <button
                key={name}
                type="button"
                className={`btn btn-sm ${many(day) ? 'btn-neutral' : ''}`}
                aria-pressed={many(day) > 0}
                onClick={() => {
                  // None, one, two periods one after the other, none.
                  const others = calendar.weekdays.filter((w) => w !== day);
                  const next = [...others, ...Array.from({ length: (many(day) + 1) % 3 }, () => day)].sort((a, b) => a - b);
                  if (next.length) set({ weekdays: next });
                }}
              >
                {say(`plan.dates.days.${name}`)}
                {many(day) > 1 && <span> × {many(day)}</span>}
              </button>
            );
          })}
        </div>
      </div>
      <div className="flex flex-wrap items-center gap-2 text-sm">
        <span>{say('plan.dates.minutes')}</span>
        {WEEK.map((name, i) => {
          const day = String(i + 1);
          const { [day]: own, ...others } = calendar.minutes ?? {};
          if (!many(i + 1)) return null;
          return (
            <label key={name} className="flex items-center gap-1">
              {say(`plan.dates.days.${name}`)}
              <NumberInput
                value={own ?? null}
                low={BOUNDS.minutesPerPeriod[0]}
                high={BOUNDS.minutesPerPeriod[1]}
                optional
                placeholder={String(usual)}
                small="w-16"
                label={say('plan.dates.minutesOn', { day: message(`plan.dates.days.${name}`) })}
                onSet={(n) => set({ minutes: n === null || n === usual ? others : { ...others, [day]: n } })}
              />
            </label>
          );
        })}
      </div>
      <div className="grid gap-1 text-sm">
        <span>{say('plan.dates.off')}</span>
        {calendar.off.map(([a, b], i) => (
          <span key={i} className="flex items-center gap-2">
            {say('plan.dates.span', { from: typed(say.day(a)), to: typed(say.day(b)), days: a === b ? 'one' : 'more' })}
            <button
              type="button"
              className="btn btn-ghost btn-xs"
              aria-label={say('plan.dates.offGone', { day: typed(say.day(a)) })}
              onClick={() => set({ off: calendar.off.filter((_, k) => k !== i) })}
            >
              <X aria-hidden className="size-4" />
            </button>
          </span>
        ))}
        <span className="flex flex-wrap items-center gap-2">
          {([0, 1] as const).map((k) => (
            <input
              key={k}
              type="date"
              className="input input-sm"
              aria-label={say(k ? 'plan.dates.offTo' : 'plan.dates.offFrom')}
              value={off[k]}
              onChange={(e) => setOff(k ? [off[0], e.target.value] : [e.target.value, off[1]])}
            />
          ))}
          <button
            type="button"
            className="btn btn-sm"
            disabled={!off[0]}
            onClick={() => {
              set({ off: [...calendar.off, [off[0], off[1] || off[0]]] });
              setOff(['', '']);
            }}
          >
            <Plus aria-hidden className="size-4" /> {say('plan.dates.offAdd')}
          </button>
        </span>
      </div>
      <div className="flex flex-wrap gap-2">
        <a className="btn btn-sm" href={`/api/studies/${studyId}/plan/calendar`} download>
          <CalendarPlus aria-hidden className="size-4" /> {say('plan.dates.take')}
        </a>
        <button type="button" className="btn btn-ghost btn-sm" onClick={() => onChange(null)}>
          {say('plan.dates.none')}
        </button>
      </div>
    </fieldset>
  );
}
