'use client';
import { arrayMove } from '@dnd-kit/sortable';
import { ListOrdered, PenLine } from 'lucide-react';
import { useState } from 'react';
import type { LessonMedium } from '@/core/lesson/media';
import { Plan } from '@/core/lesson/plan';
import { knownAs, OWN, PlanStep, stepOf } from '@/core/lesson/wishes';
import { rehearsed } from '@/core/lesson/rehearsal';
import type { LessonRule } from '@/core/lesson/rulesAt';
import { fromTechnique, NEW_STEP } from '@/core/lesson/ownStep';
import { nameOf, OwnStep, saysOf, techniqueName } from '@/core/lesson/technique';
import { techniqueOf, techniquesBeside, techniquesFor } from '@/core/lesson/techniques';
import { Message, message, Typed, typed, Values } from '@/core/message';
import { Ordering } from '../shared/Ordering';
import { useSay } from '../words/Words';
import { StepRow } from './StepRow';
import { StepWriter } from './StepWriter';
import type { KeptStep, laidIn, LearnedBy, PlanDraft, PlanPage } from './lesson';

interface Props {
  studyId: string;
  medium: LessonMedium;
  /** What the sentences of a lesson can name. */
  values: Values;
  steps: PlanStep[];
  plan: Plan | null;
  library: readonly KeptStep[];
  learned: LearnedBy;
  /** The rules of the study at each step. */
  rules: readonly (readonly LessonRule[])[];
  twoGroups: boolean;
  ink: PlanDraft['ink'];
  palette: PlanPage['palette'];
  source: PlanPage['source'];
  /** The colours laid in each step, and the layers. */
  laid: ReturnType<typeof laidIn> | null;
  /** So many tries toward the manner fit in before the lesson takes longer. */
  triesThatFit: () => number;
  chosen: number | null;
  onChoose: (step: number | null) => void;
  onChange: (steps: PlanStep[], label: Message) => void;
}

/** What is being written: a new step, or the one at a place. */
type Writing = { at: number | null; step: OwnStep };

/** The steps of the lesson in order: dragged by the grip or moved with space and the arrow keys, opened in place. */
export function StepList(props: Props) {
  const {
    studyId,
    medium,
    values,
    steps,
    plan,
    library,
    learned,
    rules,
    twoGroups,
    ink,
    palette,
    source,
    laid,
    chosen,
    onChoose,
    onChange,
  } = props;
  const say = useSay();
  const [writing, setWriting] = useState<Writing | null>(null);
  const ids = steps.map((s, i) => `${s.technique}:${i}`);
  const name = (i: number): Message | Typed => (steps[i].own ? typed(steps[i].own.name) : techniqueName(steps[i].technique));
  const add = (step: PlanStep, called: Message | Typed) => {
    onChange([...steps, step], message('edits.addStep', { step: called }));
    onChoose(steps.length);
  };
  const put = (i: number, next: PlanStep) =>
    onChange(
      steps.map((o, k) => (k === i ? next : o)),
      message('edits.step', { step: name(i) }),
    );
  /** A sketch in one's own hand, then as many tries toward the manner as time allows, instead of those that are there. */
  const ladder = () => {
    onChange(rehearsed(steps, props.triesThatFit()), message('edits.addStep', { step: message('plan.ladder') }));
    onChoose(null);
  };
  /** The step at a place in words that can be changed. */
  const written = (i: number): OwnStep => {
    const t = techniqueOf(steps[i].technique);
    return steps[i].own ?? (t ? fromTechnique(t, say(nameOf(t)), (what) => say(saysOf(t, what, values) ?? typed(''))) : NEW_STEP);
  };
  return (
    <section>
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
              studyId={studyId}
              id={ids[i]}
              step={s}
              planned={plan?.steps[i] ?? null}
              name={name(i)}
              rules={rules[i] ?? []}
              values={values}
              twoGroups={twoGroups}
              context={{ ink, medium }}
              palette={palette}
              source={source}
              colours={laid?.colours[i] ?? []}
              layer={laid?.layers.find((l) => l.step === i) ?? null}
              learned={learned[knownAs(s)] ?? null}
              warnings={plan?.warnings.filter((w) => w.step === i) ?? []}
              kept={plan?.kept.filter((w) => w.step === i) ?? []}
              open={chosen === i}
              onToggle={() => onChoose(chosen === i ? null : i)}
              onRemove={() => {
                onChange(
                  steps.filter((_, k) => k !== i),
                  message('edits.leaveOut', { step: name(i) }),
                );
                onChoose(null);
              }}
              onSet={(next) => put(i, next)}
              onWrite={() => setWriting({ at: i, step: written(i) })}
            />
          ))}
        </ol>
      </Ordering>
      <div className="mt-2 grid gap-2">
        <select
          aria-label={say('plan.add')}
          className="select select-sm w-full"
          value=""
          onChange={(e) => {
            const own = library.find((k) => k.id === e.target.value);
            const known = techniqueOf(e.target.value);
            if (own) add(stepOf(OWN, own.step), typed(own.step.name));
            else if (known) add(stepOf(known.id), techniqueName(known.id));
          }}
        >
          <option value="">{say('plan.addOne')}</option>
          <optgroup label={say('plan.addUsual')}>
            {techniquesFor(medium).map((t) => (
              <option key={t.id} value={t.id}>
                {say(techniqueName(t.id))}
              </option>
            ))}
          </optgroup>
          {library.length > 0 && (
            <optgroup label={say('plan.addOwn')}>
              {library.map(({ id, step }) => (
                <option key={id} value={id}>
                  {say.typed(step.name)}
                </option>
              ))}
            </optgroup>
          )}
          <optgroup label={say('plan.addOther')}>
            {techniquesBeside(medium).map((t) => (
              <option key={t.id} value={t.id}>
                {say(techniqueName(t.id))}
              </option>
            ))}
          </optgroup>
        </select>
        <button type="button" className="btn btn-sm justify-self-start" onClick={() => setWriting({ at: null, step: NEW_STEP })}>
          <PenLine aria-hidden className="size-4" /> {say('plan.writeOne')}
        </button>
        <button type="button" className="btn btn-sm justify-self-start" onClick={ladder}>
          <ListOrdered aria-hidden className="size-4" /> {say('plan.tries')}
        </button>
      </div>
      {writing && (
        <StepWriter
          studyId={studyId}
          first={writing.step}
          onDone={(step) => {
            if (writing.at === null) add(stepOf(OWN, step), typed(step.name));
            else put(writing.at, { ...steps[writing.at], own: step });
          }}
          onClose={() => setWriting(null)}
        />
      )}
    </section>
  );
}
