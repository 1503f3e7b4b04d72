'use client';
import { useState } from 'react';
import { named } from '@/core/colour/names';
import { amount, message } from '@/core/message';
import { tellColour, tellValues, type Telling } from '@/core/style/readings';
import type { CupboardKit } from '@/core/colour/materials';
import type { PaletteEntry } from '@/core/colour/palette';
import type { TemperatureShares } from '@/core/colour/temperature';
import type { Values } from '@/core/colour/values';
import { Bench } from '../shared/Bench';
import { Reading } from '../shared/evidence/Reading';
import type { Rests } from '../shared/evidence/rests';
import type { Layered } from '../shared/layers/LayerCanvas';
import { LayersOver, Place, useLayers } from '../shared/layers/Layers';
import { PictureView } from '../shared/looking/PictureView';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { StripWork, WorkStrip } from '../shared/WorkStrip';
import { Rule, RuleList } from '../rules/RuleList';
import { RuledBy, TickReading } from '../rules/TickReading';
import { Recipes } from './Recipes';
import { useSay } from '../words/Words';

interface ColourWork extends StripWork {
  foil: boolean;
  layered: Layered;
  pictureWidth: number;
  pictureHeight: number;
}

interface Props {
  studyId: string;
  works: ColourWork[];
  work: ColourWork;
  read: {
    palette: PaletteEntry[];
    ground: { hex: string; share: number } | null;
    values: Values;
    temperature: TemperatureShares;
    chroma: { mean: number; p90: number };
    sheetSure: boolean;
  } | null;
  /** What the readings rest on. */
  rests: Rests | null;
  ruledBy: RuledBy;
  kits: (CupboardKit & { id: string })[];
  rules: Rule[];
}

export function ColourBench(props: Props) {
  return (
    <LayersOver key={props.work.id}>
      <Reader {...props} />
    </LayersOver>
  );
}

function Reader({ studyId, works, work, read, rests, ruledBy, kits, rules }: Props) {
  const say = useSay();
  const looking = useLooking();
  const [steps, setSteps] = useState(5);
  const { chosen, choose } = useLayers();
  return (
    <Bench
      tools={<ToolRow {...looking} />}
      picture={
        <PictureView
          pictureId={work.pictureId}
          width={work.pictureWidth}
          height={work.pictureHeight}
          alt={say.typed(work.title)}
          on={looking.on}
          steps={steps}
          layered={work.layered}
        />
      }
      strip={<WorkStrip works={works} current={work.id} href={`/studies/${studyId}/colour`} />}
    >
      {!read && <p>{say('colour.waiting')}</p>}
      {read && (
        <>
          <Palette read={read} chosen={chosen} onChoose={choose} />
          {chosen && <Recipes target={chosen} kits={kits} sheet={read.ground?.hex ?? null} onClose={() => choose(null)} />}
          <ValueSteps
            values={read.values}
            rests={rests}
            steps={steps}
            setSteps={setSteps}
            shown={looking.on.values}
            show={() => looking.toggle('values')}
          />
          <section className="mt-4">
            <h2 className="text-lg font-semibold">{say('colour.temperature')}</h2>
            <TellOne
              feature="colour.warm"
              said={message('readings.temperature', {
                warm: amount(read.temperature.warm, 'share'),
                cool: amount(read.temperature.cool, 'share'),
                neutral: amount(read.temperature.neutral, 'share'),
              })}
              rests={rests}
            />
            <Bar
              parts={[
                [say('colour.warm'), read.temperature.warm, 'repeating-linear-gradient(45deg,#333 0 4px,#fff 4px 8px)'],
                [say('colour.neither'), read.temperature.neutral, '#bbb'],
                [say('colour.cool'), read.temperature.cool, '#333'],
              ]}
            />
          </section>
          {rests && <Tell studyId={studyId} read={read} rests={rests} work={work} ruledBy={ruledBy} rules={rules} />}
        </>
      )}
      <RuleList studyId={studyId} rules={rules} />
    </Bench>
  );
}

/** A reading that cannot be ticked, with what it rests on where that is known. */
function TellOne({ rests, ...told }: Telling & { rests: Rests | null }) {
  const say = useSay();
  return rests ? <Reading told={told} rests={rests} /> : <p>{say(told.said)}</p>;
}

/** Shares as one bar of patterns, so that nothing rests on colour. */
function Bar({ parts }: { parts: [string, number, string][] }) {
  const say = useSay();
  return (
    <div
      className="flex h-4 w-full border border-base-content"
      role="img"
      aria-label={parts.map(([n, v]) => `${n} ${say.amount(v, 'share')}`).join(', ')}
    >
      {parts.map(([name, value, background]) => (
        <span key={name} style={{ width: `${100 * value}%`, background }} title={`${name} ${say.amount(value, 'share')}`} />
      ))}
    </div>
  );
}

function Palette({ read, chosen, onChoose }: { read: NonNullable<Props['read']>; chosen: string | null; onChoose: (hex: string) => void }) {
  const say = useSay();
  return (
    <section>
      <h2 className="text-lg font-semibold">{say('colour.palette')}</h2>
      <p className="text-sm">
        {read.ground
          ? say(read.sheetSure ? 'colour.bare' : 'colour.bareDoubt', { share: amount(read.ground.share, 'share') })
          : say('colour.noBare')}
      </p>
      <ul className="mt-2 grid gap-1">
        {named(read.palette).map((c) => (
          <Place key={c.hex} as="li" of={{ layer: 'colours', colour: c.hex }}>
            <button
              type="button"
              aria-pressed={chosen === c.hex}
              onClick={() => onChoose(c.hex)}
              className="pickable flex w-full items-center gap-3"
            >
              <span aria-hidden className="h-9 w-14 shrink-0" style={{ background: c.hex }} />
              <span className="flex-1">
                {say(c.name)}
                {c.ground && <em> {say('colour.sheet')}</em>}
                {c.accent && <em> {say('colour.accent')}</em>}
                <span className="block text-xs">{say.typed(c.hex)}</span>
              </span>
              <span>{say.amount(c.share, 'share')}</span>
            </button>
          </Place>
        ))}
      </ul>
    </section>
  );
}

function ValueSteps({
  values,
  rests,
  steps,
  setSteps,
  shown,
  show,
}: {
  values: Values;
  rests: Rests | null;
  steps: number;
  setSteps: (n: number) => void;
  shown: boolean;
  show: () => void;
}) {
  const say = useSay();
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">{say('colour.values')}</h2>
      <TellOne feature="value.mean" said={tellValues(values)} rests={rests} />
      <label className="mt-1 flex items-center gap-2">
        {say('colour.steps')}
        <input
          type="range"
          className="range range-xs w-32"
          min={2}
          max={9}
          value={steps}
          onChange={(e) => setSteps(Number(e.target.value))}
        />
        {steps}
        <button type="button" className="btn btn-sm" aria-pressed={shown} onClick={show}>
          {say(shown ? 'colour.showColours' : 'colour.showSteps')}
        </button>
      </label>
    </section>
  );
}

function Tell({
  studyId,
  read,
  rests,
  work,
  ruledBy,
  rules,
}: {
  studyId: string;
  read: NonNullable<Props['read']>;
  rests: Rests;
  work: ColourWork;
  ruledBy: RuledBy;
  rules: Rule[];
}) {
  const say = useSay();
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">{say('colour.worth')}</h2>
      <ul className="grid gap-1">
        {tellColour(read).map((t) => (
          <li key={t.feature} className="flex items-start gap-2">
            <TickReading studyId={studyId} told={t} work={work} ruledBy={ruledBy} rules={rules} />
            <div className="min-w-0 flex-1">
              <Reading told={t} rests={rests} />
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
