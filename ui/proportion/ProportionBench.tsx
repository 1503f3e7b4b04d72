'use client';
import Link from 'next/link';
import { useState } from 'react';
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
import { MeasureTable } from './MeasureTable';
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
