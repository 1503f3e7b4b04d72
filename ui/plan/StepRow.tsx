'use client';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical, ImagePlus, PenLine, X } from 'lucide-react';
import Link from 'next/link';
import type { ReactNode } from 'react';
import type { Learned } from '@/core/lesson/learning';
import type { Plan } from '@/core/lesson/plan';
import { GROUPS, PlanStep } from '@/core/lesson/wishes';
import { Layer, laysTone } from '@/core/lesson/laying';
import { LiftingContext, liftingOf } from '@/core/lesson/lifting';
import { saysOf, Technique } from '@/core/lesson/technique';
import { figure, Message, message, several, Typed, Values } from '@/core/message';
import type { LessonRule } from '@/core/lesson/rulesAt';
import { FileButton } from '../shared/FileButton';
import { Notice } from '../shared/Notice';
import { PICTURE_FILES } from '../shared/pictureFiles';
import { screenPicture } from '../shared/reading/client';
import { sendPicture } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';
import type { PlanPage } from './lesson';
import { RuleShown } from './RuleShown';
import { StepLaying } from './StepLaying';

interface RowProps {
  studyId: string;
  id: string;
  step: PlanStep;
  planned: Plan['steps'][number] | null;
  name: Message | Typed;
  values: Values;
  /** The rules of the study that are kept to here. */
  rules: readonly LessonRule[];
  learned: Learned | null;
  /** Whether the class works in two groups. */
  twoGroups: boolean;
  context: LiftingContext;
  /** The colours of the master's palette, those laid here as set or guessed, and the layer they make. */
  palette: PlanPage['palette'];
  colours: PlanPage['palette'];
  layer: Layer | null;
  /** The work the rules are shown on. */
  source: PlanPage['source'];
  warnings: Plan['warnings'];
  kept: Plan['kept'];
  open: boolean;
  onToggle: () => void;
  onRemove: () => void;
  onSet: (step: PlanStep) => void;
  onWrite: () => void;
}

/** What is said of an open step, by heading. */
const SAYS = [
  ['watchFor', 'watch'],
  ['easier', 'easier'],
  ['bolder', 'bolder'],
  ['quick', 'extra'],
  ['stuck', 'stuck'],
] as const;

/** Where more is measured for a step, by what it is. */
const SEE_ALSO: readonly (readonly ['shapes' | 'carry' | 'parts' | 'colour', readonly string[]])[] = [
  ['shapes', ['big-shapes', 'pencil-draft']],
  ['carry', ['grid-transfer', 'clear-sheet', 'pencil-draft', 'mirror-transfer']],
  ['parts', ['cut-parts', 'lay-parts', 'cut-stencil']],
  ['colour', ['first-wash', 'second-wash', 'wet-in-wet', 'flat-fields', 'second-coat', 'tone-sheet', 'accent']],
];

/** One step: its name and minutes, what is wrong with its place, and opened all that is said and set of it. */
export function StepRow(props: RowProps) {
  const { id, planned, name, warnings, open, onToggle, onRemove } = props;
  const say = useSay();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  return (
    <li
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={`border-t border-base-300 bg-base-100 ${isDragging ? 'relative z-10 outline-2 outline-base-content' : ''}`}
    >
      {/* Only the head counts where it stands: all are as high, whatever is said beneath. */}
      <div ref={setNodeRef} className="flex items-center gap-1">
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
        </button>
        {props.twoGroups && props.step.group !== 'both' && <span className="text-xs">{say(`plan.groups.${props.step.group}`)}</span>}
        <span className="text-sm whitespace-nowrap">
          {planned && (planned.rounds > 1 ? `${planned.rounds} × ` : '')}
          {planned && say('units.minutes', { n: figure(planned.minutes) })}
        </span>
        <button type="button" className="p-1" aria-label={say('plan.leaveOut', { step: name })} onClick={onRemove}>
          <X aria-hidden className="size-4" />
        </button>
      </div>
      <StepWarnings {...props} warnings={warnings} />
      {open && planned && <OpenStep {...props} planned={planned} />}
    </li>
  );
}

/** What the place of the step does wrong, said where it stands; a rule can be broken on purpose. */
function StepWarnings({ step, name, warnings, kept, open, onSet }: RowProps) {
  const say = useSay();
  // Waiting is said in the periods; here only when the step is open.
  const shown = warnings.filter((w) => open || w.rule !== 'drying');
  return (
    <>
      {shown.map((w) => (
        <p key={`${w.rule}:${w.other}`} className="mb-1 ms-7 border-s-4 border-base-content/60 ps-2 text-sm">
          <strong>{say(`plan.weights.${w.weight}`)}</strong> {say(w.reason)} <em>{say(w.remedy)}</em>{' '}
          {w.rule !== 'drying' && (
            <button
              type="button"
              className="link"
              aria-label={say('plan.keepSoAt', { step: name })}
              onClick={() => onSet({ ...step, kept: [...step.kept, w.rule] })}
            >
              {say('plan.keepSo')}
            </button>
          )}
        </p>
      ))}
      {kept.length > 0 && (
        <p className="mb-1 ms-7 text-sm">
          {say('plan.keptSo', { n: kept.length })}{' '}
          {open && (
            <button type="button" className="link" onClick={() => onSet({ ...step, kept: [] })}>
              {say('plan.keepNot')}
            </button>
          )}
        </p>
      )}
    </>
  );
}

function OpenStep(props: RowProps & { planned: Plan['steps'][number] }) {
  const { studyId, step, planned, name, values, rules, learned, twoGroups, context, source, onSet, onWrite } = props;
  const say = useSay();
  const { act, problem } = useChange();
  const t = planned.knows;
  const said = (what: (typeof SAYS)[number][1] | 'does') => saysOf(t, what, values);
  const does = said('does');
  return (
    <div className="grid gap-2 pb-3 ps-7 text-sm">
      {step.pictureId && (
        <figure className="flex items-start gap-2">
          <img
            src={screenPicture(step.pictureId)}
            alt={say('plan.pictureOf', { step: name })}
            className="max-h-40 border border-base-300"
          />
          <button type="button" className="btn btn-ghost btn-xs" onClick={() => onSet({ ...step, pictureId: null })}>
            <X aria-hidden className="size-4" /> {say('plan.noPicture')}
          </button>
        </figure>
      )}
      {does && <p>{say(does)}</p>}
      {planned.carried.map((c, i) => (
        <p key={i}>{say('plan.carried', { step: c.from, option: c.option })}</p>
      ))}
      {planned.mind.map((m, i) => (
        <p key={i} className="font-semibold">
          {say(m)}
        </p>
      ))}
      {rules.length > 0 && (
        <div>
          <p className="font-semibold">{say('plan.rulesHere')}</p>
          <ul className="grid gap-1">
            {rules.map((r, i) => (
              <li key={i} className="flex items-start gap-2">
                <span className="flex-1">{say(r.said)}</span>
                {r.picture && <RuleShown picture={r.picture} source={source} alt={say('plan.ruleShown', { rule: r.said })} side="4.5rem" />}
              </li>
            ))}
          </ul>
        </div>
      )}
      <dl className="grid grid-cols-[max-content_1fr] gap-x-2">
        {SAYS.map(([heading, what]) => {
          const text = said(what);
          return (
            text && (
              <div key={what} className="contents">
                <dt className="font-semibold">{say(`plan.${heading}`)}</dt>
                <dd>{say(text)}</dd>
              </div>
            )
          );
        })}
      </dl>
      {SEE_ALSO.filter(([, ids]) => ids.includes(t.id)).map(([bench]) => (
        <Link key={bench} className="link" href={`/studies/${studyId}/${bench === 'colour' ? 'colour' : `proportion?view=${bench}`}`}>
          {say(`plan.seeAlso.${bench}`)}
        </Link>
      ))}
      <OffAndOn knows={t} context={context} />
      {planned.remedies.length > 0 && (
        <details>
          <summary className="font-semibold">{say('plan.accidents')}</summary>
          <ul className="ms-5 list-disc">
            {planned.remedies.map((r, i) => (
              <li key={i}>{say(r)}</li>
            ))}
          </ul>
        </details>
      )}
      {t.cautions.map((c) => (
        <p key={c}>{say(message(`cautions.${c}`))}</p>
      ))}
      {planned.options.length > 0 && (
        <fieldset className="grid gap-1">
          <legend className="font-semibold">{say('plan.options')}</legend>
          {[null, ...planned.options].map((o) => (
            <label key={o?.id ?? ''} className="flex items-start gap-2">
              <input
                type="radio"
                className="radio radio-xs mt-1"
                name={`option-${planned.technique}-${say(name)}`}
                checked={step.option === (o?.id ?? null)}
                onChange={() => onSet({ ...step, option: o?.id ?? null })}
              />
              <span>{o ? say('plan.option', { name: o.name, how: o.how }) : say('plan.optionOpen')}</span>
            </label>
          ))}
        </fieldset>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <Minutes
          label={say('plan.minutesField')}
          least={1}
          most={240}
          usual={t.usual}
          value={step.minutes}
          onSet={(n) => onSet({ ...step, minutes: n || null })}
        />
        <Minutes label={say('plan.driesIn')} least={0} most={600} usual={t.dry} value={step.dry} onSet={(dry) => onSet({ ...step, dry })}>
          {say('plan.minutesShort')}
        </Minutes>
        {learned && (
          <span>
            {say('plan.learned', { minutes: learned.minutes, n: learned.n })}{' '}
            {step.minutes !== learned.minutes && (
              <button type="button" className="link" onClick={() => onSet({ ...step, minutes: learned.minutes })}>
                {say('plan.useLearned')}
              </button>
            )}
          </span>
        )}
      </div>
      {twoGroups && (
        <label className="flex items-center gap-2">
          {say('plan.groupOf')}
          <select
            className="select select-xs w-40"
            value={step.group}
            onChange={(e) => onSet({ ...step, group: GROUPS.find((g) => g === e.target.value)! })}
          >
            {GROUPS.map((g) => (
              <option key={g} value={g}>
                {say(`plan.groups.${g}`)}
              </option>
            ))}
          </select>
        </label>
      )}
      {laysTone(t) && <StepLaying {...props} />}
      {step.pictureId === null && (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={step.built || t.role === 'draft'}
            disabled={t.role === 'draft'}
            onChange={(e) => onSet({ ...step, built: e.target.checked })}
          />
          {say('plan.built')}
        </label>
      )}
      <input
        aria-label={say('plan.noteOn', { step: name })}
        className="border-b border-base-content/40 bg-transparent"
        placeholder={say('plan.note')}
        maxLength={500}
        value={step.note}
        onChange={(e) => onSet({ ...step, note: e.target.value })}
      />
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm" onClick={onWrite}>
          <PenLine aria-hidden className="size-4" /> {say('plan.rewrite')}
        </button>
        <FileButton
          icon={ImagePlus}
          small
          label={say('plan.picture')}
          accept={PICTURE_FILES}
          onFile={(file) =>
            void act(async () => {
              const { pictureId } = await sendPicture<{ pictureId: string }>(`/api/studies/${studyId}/plan/pictures`, file, file.name, {});
              onSet({ ...step, pictureId });
            })
          }
        />
        {step.own && (
          <button
            type="button"
            className="btn btn-ghost btn-sm"
            onClick={() => onSet({ ...step, own: null, option: null })}
            hidden={step.technique === 'own'}
          >
            {say('plan.asKnown')}
          </button>
        )}
      </div>
      <Notice said={problem} />
    </div>
  );
}

/** What takes the layer off again and how far, and what it must not touch. */
function OffAndOn({ knows, context }: { knows: Technique; context: LiftingContext }) {
  const say = useSay();
  const lifting = liftingOf(knows, context);
  const shuns = knows.shuns ?? [];
  return (
    <>
      {lifting && <p>{say('plan.lifts.said', { far: lifting.far, by: message(`plan.lifts.by.${lifting.by}`) })}</p>}
      {shuns.length > 0 && <p>{say('plan.shuns', { lays: several(shuns.map((l) => message(`plan.laysShort.${l}`))) })}</p>}
    </>
  );
}

interface MinutesProps {
  label: string;
  least: number;
  most: number;
  /** What is planned where nothing is set. */
  usual: number;
  value: number | null;
  onSet: (minutes: number | null) => void;
  children?: ReactNode;
}

/** Whole minutes; empty leaves them to the plan. */
function Minutes({ label, least, most, usual, value, onSet, children }: MinutesProps) {
  return (
    <label className="flex items-center gap-1">
      {label}
      <input
        type="number"
        min={least}
        max={most}
        className="input input-xs w-16"
        placeholder={String(usual)}
        value={value ?? ''}
        onChange={(e) => onSet(e.target.value === '' ? null : Math.max(0, Math.round(Number(e.target.value))))}
      />
      {children}
    </label>
  );
}
