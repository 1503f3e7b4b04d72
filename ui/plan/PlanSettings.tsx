'use client';
import { usualSteps } from '@/core/lesson/plan';
import { isLessonMedium } from '@/core/lesson/techniques';
import { text } from '../text/en';
import { MEDIA } from '../text/media';
import type { PlanDraft } from './usePlan';

interface Props {
  draft: PlanDraft;
  onChange: (next: PlanDraft, label: string) => void;
}

const NUMBERS = [
  ['minutesPerPeriod', text.plan.minutes, 25, 240],
  ['periods', text.plan.periods, 1, 12],
  ['classSize', text.plan.size, 1, 60],
  ['youngest', text.plan.youngest, 4, 99],
] as const;

/** What the lesson has to fit: medium, ink, habits of the class, time and number. */
export function PlanSettings({ draft, onChange }: Props) {
  return (
    <section aria-labelledby="plan-class">
      <h2 id="plan-class" className="text-lg font-semibold">
        {text.plan.settings}
      </h2>
      <div className="mt-1 grid grid-cols-2 gap-x-3 gap-y-2 text-sm">
        <label className="col-span-2 grid grid-cols-[6rem_1fr] items-center gap-2">
          {text.plan.medium}
          <select
            className="select select-sm w-full"
            value={draft.medium}
            onChange={(e) => {
              const medium = e.target.value;
              if (isLessonMedium(medium)) onChange({ ...draft, medium, steps: usualSteps(medium, draft) }, 'another medium');
            }}
          >
            {MEDIA.map(([id, name]) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {NUMBERS.map(([field, label, low, high]) => (
          <label key={field} className="grid grid-cols-[1fr_4.5rem] items-center gap-2">
            {label}
            <input
              type="number"
              className="input input-sm w-full"
              min={low}
              max={high}
              key={`${field}:${draft[field]}`}
              defaultValue={draft[field]}
              onChange={(e) => {
                const value = Math.round(Number(e.target.value));
                // While a number is being typed it may still be too small: it counts once it can be meant.
                if (value >= low && value <= high) onChange({ ...draft, [field]: value }, label.toLowerCase());
              }}
            />
          </label>
        ))}
        <label className="col-span-2 grid grid-cols-[6rem_1fr] items-center gap-2">
          {text.plan.ink}
          <select
            className="select select-sm w-full"
            value={draft.ink}
            onChange={(e) => onChange({ ...draft, ink: e.target.value as PlanDraft['ink'] }, 'the ink')}
          >
            {Object.entries(text.plan.inks).map(([id, name]) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label className="col-span-2 grid grid-cols-[6rem_1fr] items-center gap-2">
          {text.plan.contact}
          <select
            className="select select-sm w-full"
            value={draft.contact}
            onChange={(e) => {
              const contact = e.target.value as PlanDraft['contact'];
              const steps =
                contact === 'straight-in'
                  ? draft.steps.filter((s) => s.technique !== 'pencil-draft' && s.technique !== 'rub-out-pencil')
                  : draft.steps;
              onChange({ ...draft, contact, steps: steps.length ? steps : draft.steps }, 'first contact');
            }}
          >
            {Object.entries(text.plan.contacts).map(([id, name]) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label className="col-span-2 flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={draft.erasing}
            onChange={(e) => onChange({ ...draft, erasing: e.target.checked }, 'rubbing out')}
          />
          {text.plan.erasing}
        </label>
      </div>
      <button
        type="button"
        className="link mt-2 text-sm"
        onClick={() => onChange({ ...draft, steps: usualSteps(draft.medium, draft) }, 'the usual lesson')}
      >
        {text.plan.usual}
      </button>
    </section>
  );
}
