'use client';
import { arrayMove, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical, X } from 'lucide-react';
import type { Plan, PlanStep } from '@/core/lesson/plan';
import type { LessonMedium } from '@/core/lesson/media';
import { techniqueName, techniqueSays } from '@/core/lesson/technique';
import { figure, Message, message, Values } from '@/core/message';
import { techniqueOf, techniquesFor } from '@/core/lesson/techniques';
import { Ordering } from '../shared/Ordering';
import { useSay } from '../words/Words';

interface Props {
  medium: LessonMedium;
  strokes: Values;
  steps: PlanStep[];
  plan: Plan | null;
  chosen: number | null;
  onChoose: (step: number | null) => void;
  onChange: (steps: PlanStep[], label: Message) => void;
}

/** The techniques of the lesson in order: dragged by the grip or moved with space and the arrow keys, opened for their details. */
export function StepList({ medium, strokes, steps, plan, chosen, onChoose, onChange }: Props) {
  const say = useSay();
  const ids = steps.map((s, i) => `${s.technique}:${i}`);
  const name = (i: number) => techniqueName(steps[i].technique);
  return (
    <section className="mt-5">
      <h2 className="text-lg font-semibold">{say('plan.steps')}</h2>
      <Ordering
        ids={ids}
        name={name}
        onMove={(from, to) => {
          onChange(arrayMove(steps, from, to), message('edits.moveStep', { step: name(from) }));
          onChoose(null);
        }}
      >
        <ol className="mt-1">
          {steps.map((s, i) => (
            <StepRow
              key={ids[i]}
              strokes={strokes}
              id={ids[i]}
              step={s}
              name={name(i)}
              minutes={plan?.steps[i]?.minutes ?? null}
              weight={
                plan?.warnings
                  .filter((w) => w.step === i)
                  .map((w) => w.weight)
                  .sort((a, b) => (a === 'spoils' ? -1 : b === 'spoils' ? 1 : 0))[0] ?? null
              }
              open={chosen === i}
              onToggle={() => onChoose(chosen === i ? null : i)}
              onRemove={() => {
                onChange(
                  steps.filter((_, k) => k !== i),
                  message('edits.leaveOut', { step: name(i) }),
                );
                onChoose(null);
              }}
              onSet={(next) =>
                onChange(
                  steps.map((o, k) => (k === i ? next : o)),
                  message('edits.step', { step: name(i) }),
                )
              }
              mind={plan?.steps[i]?.mind ?? []}
            />
          ))}
        </ol>
      </Ordering>
      <select
        aria-label={say('plan.add')}
        className="select select-sm mt-2 w-full"
        value=""
        onChange={(e) => {
          const added = techniqueOf(e.target.value);
          if (added)
            onChange(
              [...steps, { technique: added.id, minutes: null, dry: null, note: '' }],
              message('edits.addStep', { step: techniqueName(added.id) }),
            );
        }}
      >
        <option value="">{say('plan.addOne')}</option>
        {techniquesFor(medium).map((t) => (
          <option key={t.id} value={t.id}>
            {say(techniqueName(t.id))}
          </option>
        ))}
      </select>
    </section>
  );
}

interface RowProps {
  id: string;
  step: PlanStep;
  name: Message;
  minutes: number | null;
  weight: Plan['warnings'][number]['weight'] | null;
  open: boolean;
  mind: Message[];
  /** The master's strokes as the sentences take them. */
  strokes: Values;
  onToggle: () => void;
  onRemove: () => void;
  onSet: (step: PlanStep) => void;
}

/** What is said of an open step, by heading. */
const SAYS = [
  [
    ['watchFor', 'watch'],
    ['easier', 'easier'],
    ['bolder', 'bolder'],
  ],
  [
    ['quick', 'extra'],
    ['stuck', 'stuck'],
  ],
] as const;

function StepRow({ id, strokes, step, name, minutes, weight, open, mind, onToggle, onRemove, onSet }: RowProps) {
  const say = useSay();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  const t = techniqueOf(step.technique);
  const number = (value: string) => (value === '' ? null : Math.max(0, Math.round(Number(value))));
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={`border-t border-base-300 bg-base-100 ${isDragging ? 'relative z-10 outline-2 outline-base-content' : ''}`}
    >
      <div className="flex items-center gap-1">
        <button
          type="button"
          className="cursor-grab p-1"
          aria-label={say('plan.move', { step: name })}
          {...attributes}
          {...listeners}
          suppressHydrationWarning
        >
          <GripVertical aria-hidden className="size-4" />
        </button>
        <button type="button" aria-expanded={open} className="flex-1 py-1 text-start hover:underline" onClick={onToggle}>
          {say(name)}
          {weight && <span className="ms-2 text-xs font-semibold">{say(`plan.weights.${weight}`)}</span>}
        </button>
        <span className="text-sm">{minutes === null ? '' : say('units.minutes', { n: figure(minutes) })}</span>
        <button type="button" className="p-1" aria-label={say('plan.leaveOut', { step: name })} onClick={onRemove}>
          <X aria-hidden className="size-4" />
        </button>
      </div>
      {open && t && (
        <div className="grid gap-1 pb-2 ps-7 text-sm">
          <p>{say(techniqueSays(t.id, 'does', strokes))}</p>
          {mind.map((m) => (
            <p key={m.key} className="font-semibold">
              {say(m)}
            </p>
          ))}
          {SAYS.map((line) => (
            <p key={line[0][0]}>
              {line.map(([heading, what]) => (
                <span key={what}>
                  <strong>{say(`plan.${heading}`)}</strong> {say(techniqueSays(t.id, what))}{' '}
                </span>
              ))}
            </p>
          ))}
          <div className="flex flex-wrap gap-3">
            <label className="flex items-center gap-1">
              {say('plan.minutesField')}
              <input
                type="number"
                min={1}
                max={240}
                className="input input-xs w-16"
                placeholder={String(t.usual)}
                value={step.minutes ?? ''}
                onChange={(e) => onSet({ ...step, minutes: number(e.target.value) || null })}
              />
            </label>
            <label className="flex items-center gap-1">
              {say('plan.driesIn')}
              <input
                type="number"
                min={0}
                max={600}
                className="input input-xs w-16"
                placeholder={String(t.dry)}
                value={step.dry ?? ''}
                onChange={(e) => onSet({ ...step, dry: number(e.target.value) })}
              />
              {say('plan.minutesShort')}
            </label>
          </div>
          <input
            aria-label={say('plan.noteOn', { step: name })}
            className="border-b border-base-content/40 bg-transparent"
            placeholder={say('plan.note')}
            maxLength={500}
            value={step.note}
            onChange={(e) => onSet({ ...step, note: e.target.value })}
          />
        </div>
      )}
    </li>
  );
}
