'use client';
import { useState } from 'react';
import type { Kit } from '@/core/colour/mixing';
import type { PaletteEntry } from '@/core/colour/palette';
import type { TemperatureShares } from '@/core/colour/temperature';
import type { Values } from '@/core/colour/values';
import { Bench } from '../shared/Bench';
import { PictureView } from '../shared/looking/PictureView';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { StripWork, WorkStrip } from '../shared/WorkStrip';
import { Rule, RuleList, TickRule } from '../rules/RuleList';
import { Recipes } from './Recipes';

interface ColourWork extends StripWork {
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
  } | null;
  kits: (Kit & { id: string })[];
  rules: Rule[];
}

const percent = (v: number) => (v < 0.02 ? `${(100 * v).toFixed(1)} %` : `${Math.round(100 * v)} %`);

export function ColourBench(props: Props) {
  return <Reader key={props.work.id} {...props} />;
}

function Reader({ studyId, works, work, read, kits, rules }: Props) {
  const looking = useLooking();
  const [steps, setSteps] = useState(5);
  const [chosen, setChosen] = useState<string | null>(null);
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
          steps={steps}
          className="flex-1"
        />
      }
      strip={<WorkStrip works={works} current={work.id} href={`/studies/${studyId}/colour`} />}
    >
      {!read && <p>The colours are being measured; they appear here by themselves.</p>}
      {read && (
        <>
          <Palette read={read} chosen={chosen} onChoose={setChosen} />
          {chosen && <Recipes target={chosen} kits={kits} onClose={() => setChosen(null)} />}
          <ValueSteps
            values={read.values}
            steps={steps}
            setSteps={setSteps}
            shown={looking.on.values}
            show={() => looking.toggle('values')}
          />
          <section className="mt-4">
            <h2 className="text-lg font-semibold">Warm and cool</h2>
            <p>
              Warm {percent(read.temperature.warm)}, cool {percent(read.temperature.cool)}, neither {percent(read.temperature.neutral)}.
            </p>
            <Bar
              parts={[
                ['warm', read.temperature.warm, 'repeating-linear-gradient(45deg,#333 0 4px,#fff 4px 8px)'],
                ['neither', read.temperature.neutral, '#bbb'],
                ['cool', read.temperature.cool, '#333'],
              ]}
            />
          </section>
          <Tell studyId={studyId} read={read} work={work.title} rules={rules} />
        </>
      )}
      <RuleList studyId={studyId} rules={rules} />
    </Bench>
  );
}

/** Shares as one bar of patterns, so that nothing rests on colour. */
function Bar({ parts }: { parts: [string, number, string][] }) {
  return (
    <div
      className="flex h-4 w-full border border-base-content"
      role="img"
      aria-label={parts.map(([n, v]) => `${n} ${percent(v)}`).join(', ')}
    >
      {parts.map(([name, value, background]) => (
        <span key={name} style={{ width: `${100 * value}%`, background }} title={`${name} ${percent(value)}`} />
      ))}
    </div>
  );
}

function Palette({ read, chosen, onChoose }: { read: NonNullable<Props['read']>; chosen: string | null; onChoose: (hex: string) => void }) {
  return (
    <section>
      <h2 className="text-lg font-semibold">Palette</h2>
      <p className="text-sm">
        {read.ground ? `The bare sheet takes ${percent(read.ground.share)}.` : 'No bare sheet shows.'} Choose a colour to see how to mix it.
      </p>
      <ul className="mt-2 grid gap-1">
        {read.palette.map((c) => (
          <li key={c.hex}>
            <button
              type="button"
              aria-pressed={chosen === c.hex}
              onClick={() => onChoose(c.hex)}
              className={`flex w-full items-center gap-3 border p-1 text-left ${chosen === c.hex ? 'border-base-content' : 'border-transparent hover:border-base-300'}`}
            >
              <span aria-hidden className="h-9 w-14 shrink-0" style={{ background: c.hex }} />
              <span className="flex-1">
                {c.name}
                {c.ground && <em> (the sheet)</em>}
                {c.accent && <em> (accent)</em>}
                <span className="block text-xs">{c.hex}</span>
              </span>
              <span>{percent(c.share)}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function ValueSteps({
  values,
  steps,
  setSteps,
  shown,
  show,
}: {
  values: Values;
  steps: number;
  setSteps: (n: number) => void;
  shown: boolean;
  show: () => void;
}) {
  const keyWords = { low: 'dark overall', middle: 'middling', high: 'light overall' }[values.key];
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">Values</h2>
      <p>
        The picture is {keyWords}: from {Math.round(values.dark)} to {Math.round(values.light)} on a scale where black is 0 and white 100.
      </p>
      <label className="mt-1 flex items-center gap-2">
        steps
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
          {shown ? 'Show the colours' : 'Show the steps'}
        </button>
      </label>
    </section>
  );
}

function Tell({ studyId, read, work, rules }: { studyId: string; read: NonNullable<Props['read']>; work: string; rules: Rule[] }) {
  const ground = read.palette.find((c) => c.ground);
  const accents = read.palette.filter((c) => c.accent && c.lch[1] > 30);
  const rows = [
    ...(ground ? [{ feature: 'colour.groundL', sentence: `The sheet is toned ${ground.name}.` }] : []),
    {
      feature: 'colour.count',
      sentence: `About ${read.palette.filter((c) => c.share > 0.03).length} colours make the picture.`,
    },
    ...(accents.length
      ? [
          {
            feature: 'colour.accent',
            sentence: `One small touch of ${accents[0].name}, ${percent(accents.reduce((s, a) => s + a.share, 0))} of the sheet.`,
          },
        ]
      : []),
    {
      feature: 'colour.balance',
      sentence:
        read.temperature.balance === null
          ? 'Neither warm nor cool colour is used.'
          : `${read.temperature.warm >= read.temperature.cool ? 'Warm' : 'Cool'} colour leads, ${percent(Math.max(read.temperature.warm, read.temperature.cool))} of the work.`,
    },
    {
      feature: 'colour.chroma',
      sentence: `Colour is ${read.chroma.mean < 15 ? 'quiet' : read.chroma.mean < 30 ? 'moderate' : 'strong'} overall.`,
    },
    { feature: 'value.range', sentence: `Values span ${Math.round(read.values.range)} of 100.` },
  ];
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">Worth a rule?</h2>
      <ul className="grid gap-1">
        {rows.map((t) => (
          <li key={t.feature} className="flex items-start gap-2">
            <TickRule
              studyId={studyId}
              feature={t.feature}
              sentence={t.sentence}
              evidence={`Measured on “${work}”.`}
              ticked={rules.find((r) => r.feature === t.feature)}
            />
            <span>{t.sentence}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
