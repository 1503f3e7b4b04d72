'use client';
import { DRAFTED, questionsOf, usualSteps } from '@/core/lesson/usual';
import { BOUNDS } from '@/core/lesson/bounds';
import { SCHOOLS } from '@/core/lesson/order';
import { isLessonMedium, LESSON_MEDIA, mediumName } from '@/core/lesson/media';
import { Message, message } from '@/core/message';
import { CalendarSettings } from './CalendarSettings';
import type { PlanDraft } from './lesson';
import { NumberInput } from '../shared/NumberInput';
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

const NUMBERS = ['minutesPerPeriod', 'periods', 'classSize', 'youngest'] as const;

const ROOM = ['sinks', 'rack'] as const;

/** The second group is never the whole class. */
const fittingIn = (second: PlanDraft['second'], students: number): PlanDraft['second'] =>
  second && students > 1 ? { ...second, students: Math.min(second.students, students - 1) } : null;

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
        {NUMBERS.map((field) => (
          <label key={field} className="grid grid-cols-[1fr_4.5rem] items-center gap-2">
            {say(`plan.${field}`)}
            <input
              type="number"
              className="input input-sm w-full"
              min={BOUNDS[field][0]}
              max={BOUNDS[field][1]}
              key={`${field}:${draft[field]}`}
              defaultValue={draft[field]}
              onChange={(e) => {
                const value = Math.round(Number(e.target.value));
                // While a number is being typed it may still be too small: it counts once it can be meant.
                if (!(value >= BOUNDS[field][0] && value <= BOUNDS[field][1])) return;
                onChange(
                  { ...draft, [field]: value, second: fittingIn(draft.second, field === 'classSize' ? value : draft.classSize) },
                  message(`edits.planField.${field}`),
                );
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
        {questionsOf(draft.medium).map((q) => (
          <label key={q} className="col-span-2 grid grid-cols-[6rem_1fr] items-center gap-2">
            {say(`plan.schools.${q}.title`)}
            <select
              className="select select-sm w-full"
              value={draft[q]}
              onChange={(e) => onChange({ ...draft, [q]: e.target.value }, message('edits.planField.schools'))}
            >
              {SCHOOLS[q].map((id) => (
                <option key={id} value={id}>
                  {say(message(`plan.schools.${q}.${id}`))}
                </option>
              ))}
            </select>
          </label>
        ))}
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
      <Groups draft={draft} onChange={onChange} />
      <fieldset className="mt-3">
        <legend className="text-sm">{say('plan.room')}</legend>
        <div className="grid grid-cols-2 gap-x-3">
          {ROOM.map((field) => (
            <label key={field} className="grid grid-cols-[1fr_4.5rem] items-center gap-2">
              {say(`plan.${field}`)}
              <NumberInput
                value={draft.room[field]}
                low={BOUNDS[field][0]}
                high={BOUNDS[field][1]}
                optional
                onSet={(n) => onChange({ ...draft, room: { ...draft.room, [field]: n } }, message('edits.planField.room'))}
              />
            </label>
          ))}
        </div>
      </fieldset>
      <CalendarSettings
        studyId={studyId}
        calendar={draft.calendar}
        usual={draft.minutesPerPeriod}
        onChange={(calendar) => onChange({ ...draft, calendar }, message('edits.planField.calendar'))}
      />
    </section>
  );
}

/** A mixed class works in two groups: how many are in the second, and how old they are. Which steps are whose is said at the steps. */
function Groups({ draft, onChange }: Pick<Props, 'draft' | 'onChange'>) {
  const say = useSay();
  const { second } = draft;
  const set = (next: PlanDraft['second']) => onChange({ ...draft, second: next }, message('edits.planField.groups'));
  return (
    <div className="mt-3 grid gap-2">
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={second !== null}
          disabled={draft.classSize < 2}
          onChange={(e) =>
            set(e.target.checked ? { students: Math.max(1, Math.floor(draft.classSize / 2)), youngest: draft.youngest } : null)
          }
        />
        {say('plan.twoGroups')}
      </label>
      {second && (
        <div className="grid grid-cols-2 gap-x-3">
          {(
            [
              ['students', 1, draft.classSize - 1],
              ['youngest', ...BOUNDS.youngest],
            ] as const
          ).map(([field, low, high]) => (
            <label key={field} className="grid grid-cols-[1fr_4.5rem] items-center gap-2">
              {say(`plan.second.${field}`)}
              <NumberInput value={second[field]} low={low} high={high} onSet={(n) => n !== null && set({ ...second, [field]: n })} />
            </label>
          ))}
        </div>
      )}
    </div>
  );
}
