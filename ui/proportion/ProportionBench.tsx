'use client';
import Link from 'next/link';
import { useState } from 'react';
import { typed } from '@/core/message';
import type { TemplateName } from '@/core/proportion/templates';
import { Bench } from '../shared/Bench';
import type { Layered } from '../shared/layers/LayerCanvas';
import { LayersOver } from '../shared/layers/Layers';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { TemplateChoice } from '../shared/TemplateChoice';
import { StripWork, WorkStrip } from '../shared/WorkStrip';
import { Rule, RuleList } from '../rules/RuleList';
import { Changed } from './Changed';
import { MeasureTable } from './MeasureTable';
import { SetChoice } from './SetChoice';
import { PlacingPrompt, PlacingView, usePlacing } from './placing';
import type { LandmarkSet } from './useLandmarks';
import { useSay } from '../words/Words';

interface ProportionWork extends StripWork {
  foil: boolean;
  groupId: string | null;
  group: string | null;
  layered: Layered;
  pictureWidth: number;
  pictureHeight: number;
  sets: LandmarkSet[];
  /** What stood model for it. */
  models: Model[];
}

interface Model {
  id: string;
  title: string;
  pictureId: string;
  pictureWidth: number;
  pictureHeight: number;
  sets: LandmarkSet[];
}

interface Props {
  studyId: string;
  works: ProportionWork[];
  current: string;
  /** Which of its models is on the bench; null for the work itself. */
  model: string | null;
  template: TemplateName;
  /** Has anybody said what is in the picture, by choosing or by placing? */
  chosen: boolean;
  /** Which of several figures; empty for the only one. */
  set: string;
  rules: Rule[];
}

const POINTS = ['points'] as const;

export function ProportionBench(props: Props) {
  const work = props.works.find((w) => w.id === props.current) ?? props.works[0];
  return (
    <LayersOver key={`${work.id}:${props.template}:${props.set}:${props.model}`} first={POINTS}>
      <Placing {...props} work={work} shown={work.models.find((m) => m.id === props.model) ?? null} />
    </LayersOver>
  );
}

function Placing({ studyId, works, work, shown, template, chosen, set, rules }: Props & { work: ProportionWork; shown: Model | null }) {
  const say = useSay();
  const looking = useLooking();
  const on = shown ?? work;
  const placing = usePlacing({ subject: shown ? 'reference' : 'work', id: on.id, template, sets: on.sets, name: set });
  const [lens, setLens] = useState(true);
  const base = `/studies/${studyId}/proportion`;
  const to = (t: TemplateName, model: string | null, name = '') =>
    `${base}?${new URLSearchParams({ work: work.id, template: t, ...(name && { set: name }), ...(model && { model }) })}`;
  const frame = shown ? null : work.layered.as.frame;
  const within = frame ?? ([0, 0, on.pictureWidth, on.pictureHeight] as const);
  // Points of the same figure in another picture, or of its first one of the kind.
  const pointsIn = (sets: readonly LandmarkSet[]) =>
    (sets.find((s) => s.template === template && s.name === set) ?? sets.find((s) => s.template === template))?.points ?? null;
  return (
    <Bench
      tools={<ToolRow {...looking} />}
      picture={
        <PlacingView
          placing={placing}
          picture={{ id: on.pictureId, width: on.pictureWidth, height: on.pictureHeight, alt: say.typed(on.title) }}
          on={looking.on}
          lens={lens}
          layered={shown ? undefined : { ...work.layered, handled: true, sets: [{ template, points: placing.points }] }}
        />
      }
      strip={<WorkStrip works={works} current={work.id} href={base} />}
    >
      <TemplateChoice
        current={template}
        href={(t) => to(t, shown?.id ?? null)}
        placed={new Set(on.sets.map((s) => s.template))}
        open={!chosen}
      />
      <ModelChoice work={work} shown={shown} href={(m) => to(template, m, set)} />
      <SetChoice
        subject={shown ? 'reference' : 'work'}
        id={on.id}
        template={template}
        sets={on.sets}
        current={set}
        href={(name) => to(template, shown?.id ?? null, name)}
      />
      <PlacingPrompt placing={placing}>
        <label className="inline-flex items-center gap-1">
          <input type="checkbox" className="checkbox checkbox-xs" checked={lens} onChange={(e) => setLens(e.target.checked)} />{' '}
          {say('proportion.lens')}
        </label>
      </PlacingPrompt>
      <Notice said={placing.problem} />
      <MeasureTable
        studyId={studyId}
        works={works}
        work={work}
        template={template}
        set={set}
        points={placing.points}
        frame={within}
        rules={shown ? null : rules}
      />
      <Changed
        template={template}
        work={shown ? pointsIn(work.sets) : placing.points}
        models={work.models.map((m) => ({
          id: m.id,
          title: m.title,
          points: m === shown ? placing.points : pointsIn(m.sets),
        }))}
      />
      <GridLinks studyId={studyId} workId={work.id} template={template} set={set} />
      <RuleList studyId={studyId} rules={rules} />
    </Bench>
  );
}

/** The work itself or what stood model for it: points are placed on either. */
function ModelChoice({ work, shown, href }: { work: ProportionWork; shown: Model | null; href: (model: string | null) => string }) {
  const say = useSay();
  if (!work.models.length) return null;
  const link = (model: Model | null, said: string) => (
    <Link
      key={model?.id ?? ''}
      className={`btn btn-sm ${model === shown ? 'btn-primary' : ''}`}
      aria-current={model === shown ? 'true' : undefined}
      href={href(model?.id ?? null)}
    >
      {said}
    </Link>
  );
  return (
    <nav aria-label={say('proportion.model.choice')} className="mt-2 flex flex-wrap gap-2">
      {link(null, say('proportion.model.work'))}
      {work.models.map((m) => link(m, say('proportion.model.of', { title: typed(m.title) })))}
    </nav>
  );
}

const PAPERS = ['A4', 'A3', 'Letter'] as const;

function GridLinks({ studyId, workId, template, set }: { studyId: string; workId: string; template: TemplateName; set: string }) {
  const say = useSay();
  return (
    <p className="mt-3 text-sm">
      {say('proportion.print')}{' '}
      {PAPERS.map((p) => (
        <Link
          key={p}
          className="link me-2"
          href={`/studies/${studyId}/proportion/sheet?${new URLSearchParams({ work: workId, template, paper: p, ...(set && { set }) })}`}
        >
          {say.typed(p)}
        </Link>
      ))}
    </p>
  );
}
