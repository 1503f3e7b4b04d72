'use client';
import { DRAFTED, usualSteps } from '@/core/lesson/plan';
import { SCHOOLS } from '@/core/lesson/order';
import { isLessonMedium, LESSON_MEDIA, mediumName } from '@/core/lesson/media';
import { Message, message } from '@/core/message';
import { CalendarSettings } from './CalendarSettings';
import type { PlanDraft } from './lesson';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  draft: PlanDraft;
  /** How much of the sheet is the master's line, 0–1. */
  line: number;
  /** Does anything in the lesson ask for ink? */
  inked: boolean;
  onChange: (next: PlanDraft, label: Message) => void;
}

const INKS = ['waterproof', 'washable'] as const;
const CONTACTS = ['light-pencil', 'straight-in'] as const;

const NUMBERS = [
  ['minutesPerPeriod', 25, 240],
  ['periods', 1, 12],
  ['classSize', 1, 60],
  ['youngest', 4, 99],
] as const;

/** What the lesson has to fit: medium, ink, habits of the class, time and number. */
export function PlanSettings({ studyId, draft, line, inked, onChange }: Props) {
  const say = useSay();
  return (
    <section aria-labelledby="plan-class">
      <h2 id="plan-class" className="text-lg font-semibold">
        {say('plan.settings')}
      </h2>
      <div className="mt-1 grid grid-cols-2 gap-x-3 gap-y-2">
        <label className="col-span-2 grid grid-cols-[6rem_1fr] items-center gap-2">
          {say('plan.medium')}
          <select
            className="select select-sm w-full"
            value={draft.medium}
            onChange={(e) => {
              const medium = e.target.value;
              if (isLessonMedium(medium))
                onChange({ ...draft, medium, steps: usualSteps(medium, draft, { line }) }, message('edits.planField.medium'));
            }}
          >
            {LESSON_MEDIA.map((id) => (
              <option key={id} value={id}>
                {say(mediumName(id))}
              </option>
            ))}
          </select>
        </label>
        {NUMBERS.map(([field, low, high]) => (
          <label key={field} className="grid grid-cols-[1fr_4.5rem] items-center gap-2">
            {say(`plan.${field}`)}
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
                if (value >= low && value <= high) onChange({ ...draft, [field]: value }, message(`edits.planField.${field}`));
              }}
            />
          </label>
        ))}
        {inked && (
          <label className="col-span-2 grid grid-cols-[6rem_1fr] items-center gap-2">
            {say('plan.ink')}
            <select
              className="select select-sm w-full"
              value={draft.ink}
              onChange={(e) => onChange({ ...draft, ink: e.target.value as PlanDraft['ink'] }, message('edits.planField.ink'))}
            >
              {INKS.map((id) => (
                <option key={id} value={id}>
                  {say(`plan.inks.${id}`)}
                </option>
              ))}
            </select>
          </label>
        )}
        <label className="col-span-2 grid grid-cols-[6rem_1fr] items-center gap-2">
          {say('plan.contact')}
          <select
            className="select select-sm w-full"
            value={draft.contact}
            onChange={(e) => {
              const contact = e.target.value as PlanDraft['contact'];
              const steps = contact === 'straight-in' ? draft.steps.filter((s) => !DRAFTED.includes(s.technique)) : draft.steps;
              onChange({ ...draft, contact, steps: steps.length ? steps : draft.steps }, message('edits.planField.contact'));
            }}
          >
            {CONTACTS.map((id) => (
              <option key={id} value={id}>
                {say(`plan.contacts.${id}`)}
              </option>
            ))}
          </select>
        </label>
        <label className="col-span-2 grid grid-cols-[6rem_1fr] items-center gap-2">
          {say('plan.outline')}
          <select
            className="select select-sm w-full"
            value={draft.outline}
            onChange={(e) => onChange({ ...draft, outline: e.target.value as PlanDraft['outline'] }, message('edits.planField.outline'))}
          >
            {SCHOOLS.outline.map((id) => (
              <option key={id} value={id}>
                {say(`plan.outlines.${id}`)}
              </option>
            ))}
          </select>
        </label>
        <label className="col-span-2 flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={draft.erasing}
            onChange={(e) => onChange({ ...draft, erasing: e.target.checked }, message('edits.planField.erasing'))}
          />
          {say('plan.erasing')}
        </label>
      </div>
      <button
        type="button"
        className="link mt-2 text-sm"
        onClick={() => onChange({ ...draft, steps: usualSteps(draft.medium, draft, { line }) }, message('edits.planField.usual'))}
      >
        {say('plan.usual')}
      </button>
      <CalendarSettings
        studyId={studyId}
        calendar={draft.calendar}
        onChange={(calendar) => onChange({ ...draft, calendar }, message('edits.planField.calendar'))}
      />
    </section>
  );
}
