'use client';
import { Check, FileUp, Plus, Trash2 } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { message, typed } from '@/core/message';
import { NEEDS, OWN_KINDS, ownKey, OwnKind, OwnMeasure, OwnShape, OwnTemplate, shapePath, SHAPES } from '@/core/proportion/ownTemplate';
import { Bench } from '../shared/Bench';
import { Field } from '../shared/Field';
import { FileButton } from '../shared/FileButton';
import type { OwnKept } from '../shared/kinds';
import { Handle } from '../shared/looking/Handle';
import { PictureView } from '../shared/looking/PictureView';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import type { Points } from './LandmarkLayer';
import { quarter } from './placing';
import type { LandmarkSet, Subject } from './useLandmarks';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  /** The one that is changed; null for a new one. */
  kept: OwnKept | null;
  subject: Subject;
  id: string;
  picture: { id: string; width: number; height: number; alt: string };
  /** What lies on the picture already, of the one that is changed. */
  set: LandmarkSet | undefined;
  strip: React.ReactNode;
  /** Where a kind is opened once it is kept, by its template's key. */
  href: (key: string) => string;
}

/** A point being named: where it stands here, if it does, and what it was called before. */
interface Drafted {
  name: string;
  was: string | null;
  at: [number, number] | null;
  usual: readonly [number, number];
}

type Draft = Pick<OwnTemplate, 'name' | 'unit' | 'shapes' | 'measures'>;

/** Places as they usually are: in the box that the points here make, those that are not here as they were. */
function usualPlaces(points: readonly Drafted[]): OwnTemplate['points'] {
  const here = points.flatMap((p) => (p.at ? [p.at] : []));
  const ends = ([0, 1] as const).map((k) => {
    const all = here.map((p) => p[k]);
    return { least: Math.min(...all), size: Math.max(...all) - Math.min(...all) };
  });
  const side = Math.max(1, ends[0].size, ends[1].size);
  const round = (v: number) => Math.round(v * 1000) / 1000;
  return points.map(({ name, at, usual }) => ({
    name: name.trim(),
    at: at && here.length > 1 ? [round((at[0] - ends[0].least) / side), round((at[1] - ends[1].least) / side)] : usual,
  }));
}

/** Making a kind of points on a picture: points by clicking, then what is joined and what is measured. */
export function OwnEditor({ studyId, kept, subject, id, picture, set, strip, href }: Props) {
  const say = useSay();
  const router = useRouter();
  const looking = useLooking();
  const { act, busy, problem } = useChange();
  const [points, setPoints] = useState<Drafted[]>(() =>
    (kept?.template.points ?? []).map((p) => ({ name: p.name, was: p.name, at: set?.points[p.name] ?? null, usual: p.at })),
  );
  const [draft, setDraft] = useState<Draft>(() => kept?.template ?? { name: '', unit: null, shapes: [], measures: [] });
  const path = `/api/studies/${studyId}/templates`;
  const change = (part: Partial<Draft>) => setDraft((d) => ({ ...d, ...part }));
  const names = points.map((p) => p.name);
  const places: Points = Object.fromEntries(points.flatMap((p) => (p.at ? [[p.name, p.at] as const] : [])));
  /** A point gets another name everywhere, or is gone everywhere. */
  const renamed = (list: readonly string[], from: string, to: string) => list.map((n) => (n === from ? to : n));
  const rename = (i: number, to: string) => {
    const from = points[i].name;
    setPoints((all) => all.map((p, k) => (k === i ? { ...p, name: to } : p)));
    setDraft((d) => ({
      ...d,
      unit: d.unit && (renamed(d.unit, from, to) as [string, string]),
      shapes: d.shapes.map((s) => ({ ...s, points: renamed(s.points, from, to) })),
      measures: d.measures.map((m) => ({
        ...m,
        points: renamed(m.points, from, to),
        against: m.against && (renamed(m.against, from, to) as [string, string]),
      })),
    }));
  };
  const drop = (i: number) => {
    const gone = points[i].name;
    setPoints((all) => all.filter((_, k) => k !== i));
    setDraft((d) => ({
      ...d,
      unit: d.unit?.includes(gone) ? null : d.unit,
      shapes: d.shapes.filter((s) => !s.points.includes(gone)),
      measures: d.measures.filter((m) => !m.points.includes(gone) && !m.against?.includes(gone)),
    }));
  };
  const add = (at: [number, number]) => {
    const waiting = points.findIndex((p) => !p.at);
    const here = quarter(at);
    if (waiting >= 0) return setPoints((all) => all.map((p, k) => (k === waiting ? { ...p, at: here } : p)));
    let n = points.length + 1;
    while (names.includes(say('proportion.own.proposed', { n }))) n++;
    setPoints((all) => [...all, { name: say('proportion.own.proposed', { n }), was: null, at: here, usual: [0.5, 0.5] }]);
  };
  const setShape = (i: number, shape: OwnShape | null) =>
    change({ shapes: shape ? draft.shapes.map((s, k) => (k === i ? shape : s)) : draft.shapes.filter((_, k) => k !== i) });
  const setMeasure = (i: number, part: Partial<OwnMeasure> | null) =>
    change({ measures: part ? draft.measures.map((m, k) => (k === i ? { ...m, ...part } : m)) : draft.measures.filter((_, k) => k !== i) });
  const template = (): OwnTemplate => ({ ...draft, points: usualPlaces(points) });
  const save = () =>
    act(async () => {
      const changed = Object.fromEntries(points.flatMap((p) => (p.was && p.was !== p.name ? [[p.was, p.name.trim()]] : [])));
      const own = kept
        ? (await send('PATCH', `${path}/${kept.id}`, { version: kept.version, template: template(), renamed: changed }), kept.id)
        : (await send<{ id: string }>('POST', path, { template: template() })).id;
      if (!kept && Object.keys(places).length)
        await send('PUT', `/api/landmarks/${subject}/${id}`, {
          template: ownKey(own),
          version: 0,
          points: Object.fromEntries(points.flatMap((p) => (p.at ? [[p.name.trim(), p.at]] : []))),
          label: message('edits.points'),
        });
      router.replace(href(ownKey(own)));
    });
  const read = (file: File) =>
    act(async () => {
      const { id: own } = await send<{ id: string }>('POST', path, { file: await file.text() });
      router.replace(href(ownKey(own)));
    });
  const remove = () =>
    act(async () => {
      await send('DELETE', `${path}/${kept!.id}`);
      router.replace(href(''));
    });
  return (
    <Bench
      tools={<ToolRow {...looking} />}
      picture={
        <PictureView
          pictureId={picture.id}
          width={picture.width}
          height={picture.height}
          alt={picture.alt}
          on={looking.on}
          lensAlways
          placing
          onPoint={add}
        >
          {(unit) => (
            <>
              {draft.shapes.map((s, i) => (
                <g key={i} fill="none" aria-hidden>
                  <path d={shapePath(s, places)} stroke="#000" strokeWidth={2.4 * unit} opacity={0.4} />
                  <path d={shapePath(s, places)} stroke="#fff" strokeWidth={1.1 * unit} />
                </g>
              ))}
              {points.map(
                (p, i) =>
                  p.at && (
                    <Handle
                      key={i}
                      at={p.at}
                      unit={unit}
                      label={p.name}
                      onMove={(at) => setPoints((all) => all.map((q, k) => (k === i ? { ...q, at } : q)))}
                      onRemove={() => drop(i)}
                    />
                  ),
              )}
            </>
          )}
        </PictureView>
      }
      strip={strip}
    >
      <form
        className="grid gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          void save();
        }}
      >
        <h2 className="text-xl font-semibold">{say('proportion.own.title')}</h2>
        <p>{say('proportion.own.how')}</p>
        <Field label={say('proportion.own.name')}>
          <input className="input w-full" required maxLength={80} value={draft.name} onChange={(e) => change({ name: e.target.value })} />
        </Field>
        <section>
          <h3 className="font-semibold">{say('proportion.own.points')}</h3>
          {!points.length && <p className="text-sm">{say('proportion.own.noPoints')}</p>}
          <ol className="grid gap-1">
            {points.map((p, i) => (
              <li key={i} className="flex items-center gap-2">
                <span className="w-5 text-end text-sm">{say.number(i + 1)}</span>
                <input
                  className="input input-sm min-w-0 flex-1"
                  aria-label={say('proportion.own.point', { n: i + 1 })}
                  required
                  maxLength={40}
                  value={p.name}
                  onChange={(e) => rename(i, e.target.value)}
                />
                <button
                  type="button"
                  className="btn btn-sm btn-ghost"
                  aria-label={say('proportion.own.removePoint', { name: typed(p.name) })}
                  onClick={() => drop(i)}
                >
                  <Trash2 aria-hidden className="size-4" />
                </button>
              </li>
            ))}
          </ol>
        </section>
        {points.length > 1 && (
          <>
            <section className="flex flex-wrap items-center gap-2">
              <span>{say('proportion.own.unit')}</span>
              <Pair names={names} value={draft.unit} none={say('proportion.own.noUnit')} onValue={(unit) => change({ unit })} />
            </section>
            <section className="grid gap-2">
              <h3 className="font-semibold">{say('proportion.own.shapes')}</h3>
              {draft.shapes.map((s, i) => (
                <div key={i} className="flex flex-wrap items-center gap-1">
                  <select
                    className="select select-sm w-auto"
                    aria-label={say('proportion.own.shapes')}
                    value={s.as}
                    onChange={(e) => {
                      const as = e.target.value as OwnShape['as'];
                      const count = as === 'triangle' ? 3 : 2;
                      setShape(i, { as, points: Array.from({ length: count }, (_, k) => s.points[k] ?? names[k] ?? names[0]) });
                    }}
                  >
                    {SHAPES.map((as) => (
                      <option key={as} value={as}>
                        {say(`proportion.own.shape.${as}`)}
                      </option>
                    ))}
                  </select>
                  {s.points.map((n, k) => (
                    <PointChoice
                      key={k}
                      names={names}
                      value={n}
                      n={k + 1}
                      onValue={(to) => setShape(i, { ...s, points: s.points.map((q, j) => (j === k ? to : q)) })}
                    />
                  ))}
                  <Gone onGone={() => setShape(i, null)} />
                </div>
              ))}
              <button
                type="button"
                className="btn btn-sm justify-self-start"
                onClick={() => change({ shapes: [...draft.shapes, { as: 'line', points: names.slice(-2) }] })}
              >
                <Plus aria-hidden className="size-4" /> {say('proportion.own.addShape')}
              </button>
            </section>
            <section className="grid gap-3">
              <h3 className="font-semibold">{say('proportion.own.measures')}</h3>
              {draft.measures.map((m, i) => (
                <MeasureFields key={m.id} measure={m} n={i + 1} names={names} onChange={(part) => setMeasure(i, part)} />
              ))}
              <button
                type="button"
                className="btn btn-sm justify-self-start"
                onClick={() => {
                  let n = draft.measures.length + 1;
                  while (draft.measures.some((m) => m.id === `m${n}`)) n++;
                  const next: OwnMeasure = {
                    id: `m${n}`,
                    name: say('proportion.own.measure', { n }),
                    kind: draft.unit ? 'ratio' : 'level',
                    points: names.slice(0, 2),
                    against: null,
                    from: null,
                    canon: null,
                  };
                  change({ measures: [...draft.measures, next] });
                }}
              >
                <Plus aria-hidden className="size-4" /> {say('proportion.own.addMeasure')}
              </button>
            </section>
          </>
        )}
        <Notice said={problem} />
        <div className="flex flex-wrap gap-2">
          <button className="btn btn-primary" disabled={busy || !points.length}>
            <Check aria-hidden className="size-5" /> {say(kept ? 'proportion.own.change' : 'proportion.own.save')}
          </button>
          <Link className="btn" href={href(kept ? ownKey(kept.id) : '')}>
            {say('proportion.own.cancel')}
          </Link>
          {kept ? (
            <button type="button" className="btn" disabled={busy} onClick={() => void remove()}>
              <Trash2 aria-hidden className="size-5" /> {say('proportion.own.removeKind')}
            </button>
          ) : (
            <FileButton icon={FileUp} label={say('proportion.own.fromFile')} accept="application/json,.json" onFile={(f) => void read(f)} />
          )}
        </div>
      </form>
    </Bench>
  );
}

/** One measure: its name, what is measured, and between which points. */
function MeasureFields({
  measure: m,
  n,
  names,
  onChange,
}: {
  measure: OwnMeasure;
  n: number;
  names: readonly string[];
  onChange: (part: Partial<OwnMeasure> | null) => void;
}) {
  const say = useSay();
  const needs = NEEDS[m.kind];
  return (
    <fieldset className="grid gap-1 border-s-2 border-base-300 ps-2">
      <div className="flex items-center gap-2">
        <input
          className="input input-sm min-w-0 flex-1"
          aria-label={say('proportion.own.measureName', { n })}
          required
          maxLength={80}
          value={m.name}
          onChange={(e) => onChange({ name: e.target.value })}
        />
        <Gone onGone={() => onChange(null)} />
      </div>
      <select
        className="select select-sm w-full"
        aria-label={say('proportion.own.kind')}
        value={m.kind}
        onChange={(e) => {
          const kind = e.target.value as OwnKind;
          const { points: count, from } = NEEDS[kind];
          const points = [...m.points, ...names.filter((o) => !m.points.includes(o)), names[0]].slice(0, count);
          onChange({ kind, points, from: (from?.[0] ?? null) as OwnMeasure['from'], against: null });
        }}
      >
        {OWN_KINDS.map((k) => (
          <option key={k} value={k}>
            {say(`proportion.own.kinds.${k}`)}
          </option>
        ))}
      </select>
      <div className="flex flex-wrap items-center gap-1">
        {m.points.map((p, k) => (
          <PointChoice
            key={k}
            names={names}
            value={p}
            n={k + 1}
            onValue={(to) => onChange({ points: m.points.map((q, j) => (j === k ? to : q)) })}
          />
        ))}
        {needs.from && (
          <select
            className="select select-sm w-auto"
            aria-label={say('proportion.own.kind')}
            value={m.from ?? ''}
            onChange={(e) => onChange({ from: e.target.value as OwnMeasure['from'] })}
          >
            {needs.from.map((f) => (
              <option key={f} value={f}>
                {say(`proportion.own.from.${f as NonNullable<OwnMeasure['from']>}`)}
              </option>
            ))}
          </select>
        )}
        {needs.byUnit && (
          <>
            <span className="text-sm">{say('proportion.own.against')}</span>
            <Pair names={names} value={m.against} none={say('proportion.own.theUnit')} onValue={(against) => onChange({ against })} />
          </>
        )}
        {m.kind === 'ratio' && (
          <label className="flex items-center gap-1 text-sm">
            {say('proportion.own.canon')}
            <input
              className="input input-sm w-20"
              type="number"
              step="any"
              min={0}
              value={m.canon ?? ''}
              onChange={(e) => onChange({ canon: e.target.value === '' ? null : Number(e.target.value) })}
            />
          </label>
        )}
      </div>
    </fieldset>
  );
}

function PointChoice({
  names,
  value,
  n,
  onValue,
}: {
  names: readonly string[];
  value: string;
  n: number;
  onValue: (name: string) => void;
}) {
  const say = useSay();
  return (
    <select
      className="select select-sm w-auto max-w-36"
      aria-label={say('proportion.own.which', { n })}
      value={value}
      onChange={(e) => onValue(e.target.value)}
    >
      {names.map((name, i) => (
        <option key={i} value={name}>
          {say.typed(name)}
        </option>
      ))}
    </select>
  );
}

/** Two points, or none of them. */
function Pair({
  names,
  value,
  none,
  onValue,
}: {
  names: readonly string[];
  value: readonly [string, string] | null;
  none: string;
  onValue: (pair: [string, string] | null) => void;
}) {
  const say = useSay();
  return (
    <>
      <select
        className="select select-sm w-auto max-w-36"
        aria-label={say('proportion.own.which', { n: 1 })}
        value={value?.[0] ?? ''}
        onChange={(e) => {
          const first = e.target.value;
          onValue(first ? [first, value && value[1] !== first ? value[1] : names.find((n) => n !== first)!] : null);
        }}
      >
        <option value="">{none}</option>
        {names.map((name, i) => (
          <option key={i} value={name}>
            {say.typed(name)}
          </option>
        ))}
      </select>
      {value && (
        <>
          <span className="text-sm">{say('proportion.own.and')}</span>
          <PointChoice names={names} value={value[1]} n={2} onValue={(second) => onValue([value[0], second])} />
        </>
      )}
    </>
  );
}

function Gone({ onGone }: { onGone: () => void }) {
  const say = useSay();
  return (
    <button type="button" className="btn btn-sm btn-ghost" aria-label={say('proportion.own.remove')} onClick={onGone}>
      <Trash2 aria-hidden className="size-4" />
    </button>
  );
}
