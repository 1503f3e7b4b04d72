'use client';
import Link from 'next/link';
import { Fragment, useId, useState } from 'react';
import { Message, message, several, typed } from '@/core/message';
import { measureName, measureOf, measureProportions, Proportion } from '@/core/proportion/measures';
import { proportionFeature } from '@/core/style/proportionNames';
import { howMeasured, surerBy } from '@/core/style/surer';
import { measureWithUnit } from '@/core/style/words';
import type { TemplateName } from '@/core/proportion/templates';
import { Bench } from '../shared/Bench';
import { Grounds, Opened, Opener } from '../shared/evidence/Told';
import type { Layered } from '../shared/layers/LayerCanvas';
import { LayersOver, Place } from '../shared/layers/Layers';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { TemplateChoice } from '../shared/TemplateChoice';
import { StripWork, WorkStrip } from '../shared/WorkStrip';
import { Rule, RuleList, TickRule } from '../rules/RuleList';
import { PlacingPrompt, PlacingView, usePlacing } from './placing';
import type { LandmarkSet } from './useLandmarks';
import { useSay } from '../words/Words';

interface ProportionWork extends StripWork {
  layered: Layered;
  pictureWidth: number;
  pictureHeight: number;
  sets: LandmarkSet[];
}

interface Props {
  studyId: string;
  works: ProportionWork[];
  current: string;
  template: TemplateName;
  rules: Rule[];
}

const POINTS = ['points'] as const;

export function ProportionBench(props: Props) {
  const work = props.works.find((w) => w.id === props.current) ?? props.works[0];
  return (
    <LayersOver key={`${work.id}:${props.template}`} first={POINTS}>
      <Placing {...props} work={work} />
    </LayersOver>
  );
}

function Placing({ studyId, works, work, template, rules }: Props & { work: ProportionWork }) {
  const say = useSay();
  const looking = useLooking();
  const placing = usePlacing('work', work.id, template, work.sets);
  const [lens, setLens] = useState(true);
  const base = `/studies/${studyId}/proportion`;
  return (
    <Bench
      tools={<ToolRow {...looking} />}
      picture={
        <PlacingView
          placing={placing}
          picture={{ id: work.pictureId, width: work.pictureWidth, height: work.pictureHeight, alt: say.typed(work.title) }}
          on={looking.on}
          lens={lens}
          layered={{ ...work.layered, handled: true, sets: [{ template, points: placing.points }] }}
        />
      }
      strip={<WorkStrip works={works} current={work.id} href={base} />}
    >
      <TemplateChoice current={template} href={(t) => `${base}?work=${work.id}&template=${t}`} />
      <PlacingPrompt placing={placing}>
        <label className="inline-flex items-center gap-1">
          <input type="checkbox" className="checkbox checkbox-xs" checked={lens} onChange={(e) => setLens(e.target.checked)} />{' '}
          {say('proportion.lens')}
        </label>
      </PlacingPrompt>
      <Notice said={placing.problem} />
      <MeasureTable studyId={studyId} works={works} work={work} template={template} points={placing.points} rules={rules} />
      <GridLinks studyId={studyId} workId={work.id} template={template} />
      <RuleList studyId={studyId} rules={rules} />
    </Bench>
  );
}

/** Where a measure comes from, and what nature has in its place. */
function evidenceOf(title: string, works: number, { template, canon, factor, name, unit }: Proportion): Message {
  const evidence = works > 1 ? message('readings.evidence.mean', { n: works }) : message('readings.evidence.one', { title: typed(title) });
  return canon === null || factor === null
    ? evidence
    : message('readings.evidence.nature', { evidence, canon: measureWithUnit({ template, name, unit, value: canon }) });
}

/** What decides how sure a measure is: its points alone. */
const UNKNOWN = { widthMm: null, pxPerMm: null, counted: null, sheet: true };

function MeasureTable({
  studyId,
  works,
  work,
  template,
  points,
  rules,
}: {
  studyId: string;
  works: ProportionWork[];
  work: ProportionWork;
  template: TemplateName;
  points: LandmarkSet['points'];
  rules: Rule[];
}) {
  const say = useSay();
  const id = useId();
  const [opened, setOpened] = useState<string | null>(null);
  const rows = measureProportions(template, points)
    .filter((r) => r.value !== null)
    .sort((a, b) => Math.abs(Math.log(b.factor ?? 1)) - Math.abs(Math.log(a.factor ?? 1)));
  const others = works
    .filter((w) => w.id !== work.id)
    .flatMap((w) => w.sets.filter((s) => s.template === template).map((s) => measureProportions(template, s.points)));
  if (!rows.length) return <p className="mt-3">{say('proportion.none')}</p>;
  return (
    <table className="mt-3 w-full text-sm">
      <caption className="text-start text-lg font-semibold">{say('proportion.title')}</caption>
      <thead>
        <tr className="text-start">
          <th scope="col">{say('proportion.columns.rule')}</th>
          <th scope="col" className="ps-2 text-start">
            {say('proportion.columns.measure')}
          </th>
          <th scope="col" className="text-end">
            {say('proportion.columns.here')}
          </th>
          <th scope="col" className="text-end">
            {say('proportion.columns.nature')}
          </th>
          <th scope="col" className="text-end">
            {say('proportion.columns.times')}
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => {
          const elsewhere = others.flatMap((o) => o.filter((p) => p.name === r.name && p.value !== null).map((p) => p.value!));
          const mean = [r.value!, ...elsewhere].reduce((s, v) => s + v, 0) / (elsewhere.length + 1);
          const feature = proportionFeature(template, r.name);
          const measure = measureName(r.name);
          const vitruvius = measureOf(template, r.name)?.vitruvius;
          const withUnit = (value: number) => say(measureWithUnit({ ...r, value }));
          return (
            <Fragment key={r.name}>
              <Place as="tr" of={feature} className="border-t border-base-300 align-top">
                <td className="py-1">
                  <TickRule
                    studyId={studyId}
                    feature={feature}
                    ticked={rules.find((q) => q.feature === feature)}
                    said={message('readings.proportion', { measure, value: measureWithUnit({ ...r, value: mean }) })}
                    evidence={evidenceOf(work.title, elsewhere.length + 1, r)}
                  />
                </td>
                <td className="py-1 ps-2">
                  <Opener
                    said={measure}
                    open={opened === r.name}
                    onToggle={() => setOpened(opened === r.name ? null : r.name)}
                    controls={`${id}${r.name}`}
                  />
                </td>
                <td className="py-1 ps-2 text-end whitespace-nowrap">{withUnit(r.value!)}</td>
                <td
                  className="py-1 ps-2 text-end whitespace-nowrap"
                  title={
                    vitruvius === undefined
                      ? undefined
                      : say('proportion.vitruvius', { value: measureWithUnit({ ...r, value: vitruvius }) })
                  }
                >
                  {r.canon === null ? say('proportion.nothing') : withUnit(r.canon)}
                </td>
                <td className="py-1 ps-2 text-end whitespace-nowrap">
                  {r.factor === null ? say('proportion.nothing') : say.amount(r.factor, 'times')}
                </td>
              </Place>
              {opened === r.name && (
                <Place as="tr" of={feature} id={`${id}${r.name}`}>
                  <td colSpan={5}>
                    <Opened>
                      {elsewhere.length > 0 && (
                        <p>
                          {say('proportion.elsewhere', { values: several(elsewhere.map((value) => measureWithUnit({ ...r, value }))) })}
                        </p>
                      )}
                      <Grounds spread={null} how={howMeasured(feature)} surer={surerBy(feature, { ...UNKNOWN, works: works.length })} />
                    </Opened>
                  </td>
                </Place>
              )}
            </Fragment>
          );
        })}
      </tbody>
    </table>
  );
}

const PAPERS = ['A4', 'A3', 'Letter'] as const;

function GridLinks({ studyId, workId, template }: { studyId: string; workId: string; template: TemplateName }) {
  const say = useSay();
  return (
    <p className="mt-3 text-sm">
      {say('proportion.print')}{' '}
      {PAPERS.map((p) => (
        <Link key={p} className="link me-2" href={`/studies/${studyId}/proportion/sheet?work=${workId}&template=${template}&paper=${p}`}>
          {say.typed(p)}
        </Link>
      ))}
    </p>
  );
}
