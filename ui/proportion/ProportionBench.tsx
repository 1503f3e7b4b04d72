'use client';
import Link from 'next/link';
import { useState } from 'react';
import { measureProportions, MEASURE_WORDS, VITRUVIUS } from '@/core/proportion/measures';
import type { TemplateName } from '@/core/proportion/templates';
import { Bench } from '../shared/Bench';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { TemplateChoice } from '../shared/TemplateChoice';
import { StripWork, WorkStrip } from '../shared/WorkStrip';
import { Rule, RuleList, TickRule } from '../rules/RuleList';
import { PlacingPrompt, PlacingView, usePlacing } from './placing';
import type { LandmarkSet } from './useLandmarks';

interface ProportionWork extends StripWork {
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

export function ProportionBench(props: Props) {
  const work = props.works.find((w) => w.id === props.current) ?? props.works[0];
  return <Placing key={`${work.id}:${props.template}`} {...props} work={work} />;
}

function Placing({ studyId, works, work, template, rules }: Props & { work: ProportionWork }) {
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
          picture={{ id: work.pictureId, width: work.pictureWidth, height: work.pictureHeight, alt: work.title }}
          on={looking.on}
          lens={lens}
        />
      }
      strip={<WorkStrip works={works} current={work.id} href={base} />}
    >
      <TemplateChoice current={template} href={(t) => `${base}?work=${work.id}&template=${t}`} />
      <PlacingPrompt placing={placing}>
        <label className="inline-flex items-center gap-1">
          <input type="checkbox" className="checkbox checkbox-xs" checked={lens} onChange={(e) => setLens(e.target.checked)} /> lens while
          placing
        </label>
      </PlacingPrompt>
      <Notice message={placing.problem} />
      <MeasureTable studyId={studyId} works={works} work={work} template={template} points={placing.points} rules={rules} />
      <GridLinks studyId={studyId} workId={work.id} template={template} />
      <RuleList studyId={studyId} rules={rules} />
    </Bench>
  );
}

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
  const rows = measureProportions(template, points)
    .filter((r) => r.value !== null)
    .sort((a, b) => Math.abs(Math.log(b.factor ?? 1)) - Math.abs(Math.log(a.factor ?? 1)));
  const others = works
    .filter((w) => w.id !== work.id)
    .flatMap((w) => w.sets.filter((s) => s.template === template).map((s) => measureProportions(template, s.points)));
  if (!rows.length)
    return <p className="mt-3">Measures appear as soon as their points are placed. The largest departures from nature come first.</p>;
  const digits = (unit: string) => (unit === 'degrees' ? 1 : 2);
  return (
    <table className="mt-3 w-full text-sm">
      <caption className="text-left text-lg font-semibold">Measures, biggest departures first</caption>
      <thead>
        <tr className="text-left">
          <th scope="col">rule</th>
          <th scope="col">measure</th>
          <th scope="col" className="text-right">
            here
          </th>
          <th scope="col" className="text-right">
            nature
          </th>
          <th scope="col" className="text-right">
            times
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => {
          const elsewhere = others.flatMap((o) => o.filter((p) => p.name === r.name && p.value !== null).map((p) => p.value!));
          const mean = [r.value!, ...elsewhere].reduce((s, v) => s + v, 0) / (elsewhere.length + 1);
          const feature = `proportion.${r.name}`;
          const words = MEASURE_WORDS[r.name];
          const unit = r.unit === 'degrees' ? '°' : '';
          return (
            <tr key={r.name} className="border-t border-base-300 align-top">
              <td className="py-1">
                <TickRule
                  studyId={studyId}
                  feature={feature}
                  ticked={rules.find((q) => q.feature === feature)}
                  sentence={`${words[0].toUpperCase()}${words.slice(1)}: ${mean.toFixed(digits(r.unit))}${unit}.`}
                  evidence={`${elsewhere.length ? `Mean of ${elsewhere.length + 1} works` : `Measured on “${work.title}”`}${r.factor === null ? '' : `; nature has ${r.canon!.toFixed(2)}`}.`}
                />
              </td>
              <td className="py-1">{words}</td>
              <td className="py-1 text-right">
                {r.value!.toFixed(digits(r.unit))}
                {unit}
              </td>
              <td className="py-1 text-right" title={VITRUVIUS[r.name] ? `Vitruvius: ${VITRUVIUS[r.name].toFixed(2)}` : undefined}>
                {r.canon === null ? '–' : r.canon.toFixed(2)}
              </td>
              <td className="py-1 text-right">{r.factor === null ? '–' : `× ${r.factor.toFixed(2)}`}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

const PAPERS = ['A4', 'A3', 'Letter'] as const;

function GridLinks({ studyId, workId, template }: { studyId: string; workId: string; template: TemplateName }) {
  return (
    <p className="mt-3 text-sm">
      Print a grid sheet at true scale:{' '}
      {PAPERS.map((p) => (
        <Link key={p} className="link mr-2" href={`/studies/${studyId}/proportion/sheet?work=${workId}&template=${template}&paper=${p}`}>
          {p}
        </Link>
      ))}
    </p>
  );
}
