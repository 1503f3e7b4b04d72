'use client';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { typed } from '@/core/message';
import { templateToOpen } from '@/core/proportion/templates';
import { Bench } from '../shared/Bench';
import type { Layered } from '../shared/layers/LayerCanvas';
import { LayersOver } from '../shared/layers/Layers';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { TemplateChoice } from '../shared/TemplateChoice';
import { houseKind, kindOf, OwnKept } from '../shared/kinds';
import { StripWork, WorkStrip } from '../shared/WorkStrip';
import { Rule, RuleList } from '../rules/RuleList';
import { Changed } from './Changed';
import { DividersDrawn, DividersRead, useDividers } from './Dividers';
import { Manner } from './Manner';
import { MeasureTable } from './MeasureTable';
import { PlumbDrawn, PlumbRead, usePlumb } from './Plumb';
import { SetChoice } from './SetChoice';
import { OwnEditor } from './OwnEditor';
import { PlacingPrompt, PlacingView, usePlacing } from './placing';
import { Drawn, useDrawn } from './useDrawn';
import type { LandmarkSet } from './useLandmarks';
import { Views } from './Views';
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
  /** What the points are of: a template of the house, or a teacher's own. */
  template: string;
  own: OwnKept[];
  /** A kind of points is being made, or the one shown is being changed. */
  making: 'new' | 'change' | null;
  /** Has anybody said what is in the picture, by choosing or by placing? */
  chosen: boolean;
  /** Which of several figures; empty for the only one. */
  set: string;
  /** What is drawn over the current work. */
  drawn: Drawn;
  rules: Rule[];
}

const POINTS = ['points'] as const;
const NO_LINES: Drawn['lines'] = [];

export function ProportionBench(props: Props) {
  const work = props.works.find((w) => w.id === props.current) ?? props.works[0];
  const shown = work.models.find((m) => m.id === props.model) ?? null;
  if (props.making) return <Making {...props} work={work} shown={shown} />;
  return (
    <LayersOver key={`${work.id}:${props.template}:${props.set}:${props.model}`} first={POINTS}>
      <Placing {...props} work={work} shown={shown} />
    </LayersOver>
  );
}

const addressOf =
  (studyId: string, workId: string) =>
  (template: string, model: string | null, set = ''): string =>
    `/studies/${studyId}/proportion?${new URLSearchParams({
      work: workId,
      ...(template && { template }),
      ...(set && { set }),
      ...(model && { model }),
    })}`;

/** A kind of points made or changed on the picture that is open. */
function Making({ studyId, works, work, shown, template, own, making, set }: Props & { work: ProportionWork; shown: Model | null }) {
  const say = useSay();
  const on = shown ?? work;
  const to = addressOf(studyId, work.id);
  const kept = (making === 'change' ? kindOf(template, own)?.own : null) ?? null;
  return (
    <OwnEditor
      key={`${on.id}:${kept?.id}:${kept?.version}`}
      studyId={studyId}
      kept={kept}
      subject={shown ? 'reference' : 'work'}
      id={on.id}
      picture={{ id: on.pictureId, width: on.pictureWidth, height: on.pictureHeight, alt: say.typed(on.title) }}
      set={on.sets.find((s) => s.template === template && s.name === set)}
      strip={<WorkStrip works={works} current={work.id} href={`/studies/${studyId}/proportion`} />}
      href={(key) => to(key, shown?.id ?? null)}
    />
  );
}

function Placing({
  studyId,
  works,
  work,
  shown,
  template,
  own,
  chosen,
  set,
  drawn,
  rules,
}: Props & { work: ProportionWork; shown: Model | null }) {
  const say = useSay();
  const looking = useLooking();
  const on = shown ?? work;
  const kind = useMemo(() => kindOf(template, own) ?? houseKind(templateToOpen()), [template, own]);
  const subject = shown ? 'reference' : 'work';
  const frame = shown ? null : work.layered.as.frame;
  const within = useMemo(() => frame ?? ([0, 0, on.pictureWidth, on.pictureHeight] as const), [frame, on.pictureWidth, on.pictureHeight]);
  const dividers = useDividers(within);
  const plumb = usePlumb();
  const { lines, put, problem: unkept } = useDrawn(work.id, drawn);
  const widthMm = shown ? null : (work.layered.as.widthMm ?? null);
  const placing = usePlacing({ subject, id: on.id, kind, sets: on.sets, name: set, idle: !chosen || dividers.open });
  const [lens, setLens] = useState(true);
  const base = `/studies/${studyId}/proportion`;
  const to = addressOf(studyId, work.id);
  // Points of the same figure in another picture, or of its first one of the kind.
  const pointsIn = (sets: readonly LandmarkSet[]) =>
    (sets.find((s) => s.template === kind.key && s.name === set) ?? sets.find((s) => s.template === kind.key))?.points ?? null;
  const figures = useMemo(
    () =>
      works
        .filter((w) => !w.foil && (work.groupId === null || w.groupId === work.groupId))
        .map((w) => ({
          sets: [
            ...w.sets.filter((s) => s.template === kind.key && !(!shown && w.id === work.id && s.name === set)).map((s) => s.points),
            ...(!shown && w.id === work.id ? [placing.points] : []),
          ],
          frame: w.layered.as.frame ?? ([0, 0, w.pictureWidth, w.pictureHeight] as const),
        })),
    [works, work, kind, set, shown, placing.points],
  );
  return (
    <Bench
      tools={<ToolRow {...looking} />}
      picture={
        <PlacingView
          placing={placing}
          picture={{ id: on.pictureId, width: on.pictureWidth, height: on.pictureHeight, alt: say.typed(on.title) }}
          on={looking.on}
          lens={lens}
          over={(unit) => (
            <>
              {plumb.open && <PlumbDrawn held={plumb} kind={kind} points={placing.points} frame={within} unit={unit} />}
              {dividers.open && <DividersDrawn held={dividers} lines={shown ? NO_LINES : lines} unit={unit} />}
            </>
          )}
          layered={
            shown
              ? undefined
              : { ...work.layered, handled: true, sets: [{ template: kind.key, points: placing.shown, kind: kind.template }] }
          }
        />
      }
      strip={<WorkStrip works={works} current={work.id} href={base} />}
    >
      <Views studyId={studyId} workId={work.id} current="points" />
      <TemplateChoice
        current={kind}
        href={(t) => to(t, shown?.id ?? null)}
        own={own}
        making={`${to(kind.key, shown?.id ?? null, set)}&making=new`}
        placed={new Set(on.sets.map((s) => s.template))}
        open={!chosen}
      />
      {kind.own && (
        <p className="mt-1 flex gap-4 text-sm">
          <Link className="link" href={`${to(kind.key, shown?.id ?? null, set)}&making=change`}>
            {say('proportion.own.change')}
          </Link>
          <a className="link" href={`/api/studies/${studyId}/templates/${kind.own.id}`} download>
            {say('proportion.own.file')}
          </a>
        </p>
      )}
      <ModelChoice work={work} shown={shown} href={(m) => to(kind.key, m, set)} />
      <div className="mt-2 flex flex-wrap gap-2">
        <DividersRead
          held={dividers}
          perMm={widthMm ? within[2] / widthMm : null}
          kept={
            shown
              ? null
              : {
                  lines,
                  put: (now, label) => put({ lines: now }, label),
                  href: `${base}?work=${work.id}&view=carry&method=sighting`,
                }
          }
        />
        <PlumbRead held={plumb} kind={kind} points={placing.points} />
      </div>
      {chosen && (
        <>
          <SetChoice placing={placing} href={(name) => to(kind.key, shown?.id ?? null, name)} />
          {!dividers.open && (
            <PlacingPrompt placing={placing} turnedHref={to('face-three-quarter', shown?.id ?? null)}>
              <label className="inline-flex items-center gap-1">
                <input type="checkbox" className="checkbox checkbox-xs" checked={lens} onChange={(e) => setLens(e.target.checked)} />{' '}
                {say('proportion.lens')}
              </label>
            </PlacingPrompt>
          )}
          <Notice said={placing.problem ?? unkept} />
          <MeasureTable
            studyId={studyId}
            works={works}
            work={work}
            kind={kind}
            set={set}
            points={placing.points}
            again={placing.again}
            frame={within}
            rules={shown ? null : rules}
          />
        </>
      )}
      {!work.foil && (
        <Manner
          studyId={studyId}
          kind={kind}
          works={figures}
          group={work.groupId && works.some((w) => w.groupId !== work.groupId) ? work.group : null}
          rules={rules}
        />
      )}
      {kind.house && (
        <Changed
          template={kind.house}
          work={shown ? pointsIn(work.sets) : placing.points}
          models={work.models.map((m) => ({
            id: m.id,
            title: m.title,
            points: m === shown ? placing.points : pointsIn(m.sets),
          }))}
        />
      )}
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
