'use client';
import Link from 'next/link';
import { useState } from 'react';
import { measureProportions, MEASURE_WORDS, VITRUVIUS } from '@/core/proportion/measures';
import { TemplateName, TEMPLATES } from '@/core/proportion/templates';
import { Bench } from '../shared/Bench';
import { PictureView } from '../shared/looking/PictureView';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { StripWork, WorkStrip } from '../shared/WorkStrip';
import { Rule, RuleList, TickRule } from '../rules/RuleList';
import { text } from '../text/en';
import { LandmarkLayer } from './LandmarkLayer';
import { TEMPLATE_NAMES } from './templateNames';
import { LandmarkSet, useLandmarks } from './useLandmarks';

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
  const { points, show, save, state, problem } = useLandmarks('work', work.id, template, work.sets.find((s) => s.template === template)); // prettier-ignore
  const [selected, setSelected] = useState<string | null>(null);
  const [lens, setLens] = useState(true);
  const all = TEMPLATES[template];
  const next = all.find((p) => !points[p.name] && p.name === selected) ?? all.find((p) => !points[p.name]);
  const base = `/studies/${studyId}/proportion`;
  return (
    <Bench
      tools={<ToolRow {...looking} />}
      picture={
        <PictureView
          pictureId={work.pictureId}
          width={work.pictureWidth}
          height={work.pictureHeight}
          alt={work.title}
          on={looking.on}
          lensAlways={lens && !!next}
          className="flex-1"
          onPoint={(at) => {
            if (!next) return;
            show({ ...points, [next.name]: [Math.round(at[0] * 4) / 4, Math.round(at[1] * 4) / 4] });
            setSelected(null);
            save(`placing “${next.words}”`);
          }}
        >
          <LandmarkLayer
            points={points}
            names={all}
            selected={selected}
            width={work.pictureWidth}
            onSelect={setSelected}
            onDrag={(name, at) => show({ ...points, [name]: at })}
            onRest={save}
            onRemove={(name) => {
              const { [name]: _gone, ...rest } = points;
              show(rest);
              save(`removing “${all.find((p) => p.name === name)?.words}”`);
            }}
          />
        </PictureView>
      }
      strip={<WorkStrip works={works} current={work.id} href={base} />}
    >
      <div className="flex flex-wrap gap-2" role="group" aria-label="Template">
        {(Object.keys(TEMPLATE_NAMES) as TemplateName[]).map((t) => (
          <Link
            key={t}
            href={`${base}?work=${work.id}&template=${t}`}
            aria-current={t === template ? 'true' : undefined}
            className={`btn btn-sm ${t === template ? 'btn-neutral' : ''}`}
          >
            {TEMPLATE_NAMES[t]}
          </Link>
        ))}
      </div>
      <p className="mt-3 text-lg" role="status">
        {next ? (
          <>
            Click on the <strong>{next.words}</strong>.
          </>
        ) : (
          'Every point is placed. Move one with the pointer or the arrow keys.'
        )}
      </p>
      <p className="text-sm">
        {Object.keys(points).length} of {all.length} points; a hidden one can be left out. {text.shared[state]}.{' '}
        <label className="inline-flex items-center gap-1">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={lens}
            onChange={(e) => setLens(e.target.checked)}
          />{' '}
          lens while placing
        </label>
      </p>
      <Notice message={problem} />
      <details className="mt-1 text-sm">
        <summary>All points</summary>
        <ul className="columns-2">
          {all.map((p) => (
            <li key={p.name}>
              <button
                type="button"
                className={`text-left hover:underline ${p.name === selected ? 'font-semibold' : ''}`}
                onClick={() => setSelected(p.name)}
              >
                {points[p.name] ? '●' : '○'} {p.words}
              </button>
            </li>
          ))}
        </ul>
      </details>
      <MeasureTable studyId={studyId} works={works} work={work} template={template} points={points} rules={rules} />
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
    return (
      <p className="mt-3">
        Measures appear as soon as their points are placed. The largest departures from nature come first.
      </p>
    );
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
          const elsewhere = others.flatMap((o) =>
            o.filter((p) => p.name === r.name && p.value !== null).map((p) => p.value!),
          );
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
              <td
                className="py-1 text-right"
                title={VITRUVIUS[r.name] ? `Vitruvius: ${VITRUVIUS[r.name].toFixed(2)}` : undefined}
              >
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
        <Link
          key={p}
          className="link mr-2"
          href={`/studies/${studyId}/proportion/sheet?work=${workId}&template=${template}&paper=${p}`}
        >
          {p}
        </Link>
      ))}
    </p>
  );
}
