'use client';
import Link from 'next/link';
import { EyeOff, SkipForward, Sparkles } from 'lucide-react';
import { ReactNode, useState } from 'react';
import { amount, Message, message } from '@/core/message';
import { Expected, expectedPlace } from '@/core/proportion/guessing';
import { shapePath } from '@/core/proportion/ownTemplate';
import { placingSpread } from '@/core/proportion/placingSpread';
import type { Template } from '@/core/proportion/template';
import { turnedHead } from '@/core/proportion/turned';
import type { Layered } from '../shared/layers/LayerCanvas';
import type { Toward } from '../shared/looking/nearness';
import { PictureView } from '../shared/looking/PictureView';
import { Looking } from '../shared/looking/tools';
import type { Kind } from '../shared/kinds';
import { readingWorker, wholePicture } from '../shared/reading/client';
import { TemplateDiagram } from '../shared/TemplateDiagram';
import { LandmarkLayer, Points } from './LandmarkLayer';
import { LandmarkSet, Subject, useLandmarks } from './useLandmarks';
import { useSay } from '../words/Words';

/** How far a click may lie beside the edge that it snaps to, px of the screen. */
const SNAP_REACH = 14;

/** Points that stand nearer to each other than this part of the whole are placed through a stronger lens, and looked at nearer where that is not enough. */
const CLOSE = 0.07;
const STRONG_LENS = 6;

/** Points are known to a quarter of a pixel. */
export const quarter = ([x, y]: readonly [number, number]): [number, number] => [Math.round(x * 4) / 4, Math.round(y * 4) / 4];

interface PlacedOn {
  subject: Subject;
  id: string;
  kind: Kind;
  sets: readonly LandmarkSet[];
  /** Which of several figures; empty for the only one. */
  name?: string;
  /** Nobody has said yet what is in the picture: then no point is asked for. */
  idle?: boolean;
}

/** Placing the points of a template, one after another, on a work, a piece or a reference. */
export function usePlacing({ subject, id, kind, sets, name = '', idle = false }: PlacedOn) {
  const landmarks = useLandmarks(
    subject,
    id,
    kind.key,
    name,
    sets.find((s) => s.template === kind.key && s.name === name),
  );
  const [selected, setSelected] = useState<string | null>(null);
  const [skipped, setSkipped] = useState<ReadonlySet<string>>(new Set());
  const [snap, setSnap] = useState(false);
  const [nearer, setNearer] = useState(true);
  const { points: first, hidden, again, show, save } = landmarks;
  // Placed a second time, the first places are not to be seen.
  const [twice, setTwice] = useState(false);
  const points = twice ? again : first;
  const all = kind.template.points.map((p) => ({ ...p, said: kind.pointSaid(p.name) }));
  const open = all.filter((p) => !points[p.name] && !hidden.includes(p.name) && (!twice || first[p.name]));
  const next = idle
    ? null
    : (all.find((p) => !points[p.name] && p.name === selected && (!twice || first[p.name])) ??
      open.find((p) => !skipped.has(p.name)) ??
      null);
  const close = next !== null && all.some((p) => p.name !== next.name && Math.hypot(p.at[0] - next.at[0], p.at[1] - next.at[1]) < CLOSE);
  const lensTimes = close ? STRONG_LENS : undefined;
  const expected = next && !twice ? expectedPlace(kind.template, next.name, points) : null;
  const toward = nearer && close && expected ? towardOf(kind.template, next.name, expected.at, points) : null;
  /** Puts the point that is asked for somewhere. */
  const put = (at: readonly [number, number]) => {
    if (!next) return;
    if (twice) {
      show(first, hidden, { ...again, [next.name]: quarter(at) });
      setSelected(null);
      return save(message('edits.placeAgain', { point: next.said }));
    }
    show(
      { ...points, [next.name]: quarter(at) },
      hidden.filter((n) => n !== next.name),
    );
    setSelected(null);
    save(message('edits.place', { point: next.said }));
  };
  const skip = () => {
    if (!next) return;
    setSkipped(new Set([...skipped, next.name]));
    setSelected(null);
  };
  /** It is not to be seen in the picture: nobody is asked for it again. */
  const hide = () => {
    if (!next) return;
    show(points, [...hidden, next.name]);
    setSelected(null);
    save(message('edits.hidePoint', { point: next.said }));
  };
  /** Takes all of them away. */
  const clear = (label: Message) => {
    show({}, [], null);
    save(label);
  };
  /** Asks for a point by its name, one that was hidden or passed over too. */
  const ask = (point: string) => {
    setSkipped(new Set([...skipped].filter((n) => n !== point)));
    setSelected(point);
  };
  return {
    ...landmarks,
    /** The placing that is shown: the second one while it is made. */
    shown: points,
    move: (moved: Points) => (twice ? show(first, hidden, moved) : show(moved)),
    twice,
    setTwice,
    subject,
    id,
    kind,
    name,
    sets,
    all,
    open,
    next,
    lensTimes,
    expected,
    toward,
    selected,
    setSelected,
    put,
    skip,
    hide,
    clear,
    ask,
    snap,
    setSnap,
    nearer,
    setNearer,
  };
}

/** Where the picture is looked at nearer for a point: round its place, until its nearest neighbour is told from it. */
function towardOf(template: Template, name: string, at: [number, number], points: Points): Toward | null {
  const apart = template.points
    .filter((p) => p.name !== name)
    .flatMap((p) => {
      const there = points[p.name] ?? expectedPlace(template, p.name, points)?.at;
      return there ? [Math.hypot(there[0] - at[0], there[1] - at[1])] : [];
    })
    .filter((d) => d > 0);
  return apart.length ? { key: name, at, span: Math.min(...apart) } : null;
}

export type Placing = ReturnType<typeof usePlacing>;

/** The picture to click on, with the points that have been placed. */
export function PlacingView({
  placing,
  picture,
  on,
  lens,
  layered,
  over,
}: {
  placing: Placing;
  picture: { id: string; width: number; height: number; alt: string };
  on: Looking;
  lens: boolean;
  layered?: Layered;
  /** Drawn under the points; told how many px of the picture one of the screen is. */
  over?: (unit: number) => ReactNode;
}) {
  const { shown: points, move: show, save, all, next, expected, selected, setSelected, put, snap, kind, lensTimes, toward } = placing;
  return (
    <PictureView
      pictureId={picture.id}
      width={picture.width}
      height={picture.height}
      alt={picture.alt}
      on={on}
      layered={layered}
      lensAlways={lens && !!next}
      lensTimes={lensTimes}
      toward={toward}
      placing
      onPoint={(at, event) => {
        if (!next) return;
        if (!snap) return put(at);
        const perScreen = picture.width / event.currentTarget.getBoundingClientRect().width;
        void readingWorker()
          .edge(wholePicture(picture.id), at, SNAP_REACH * perScreen)
          .catch(() => null)
          .then((edge) => put(edge ?? at));
      }}
    >
      {(unit) => (
        <>
          <Joined kind={kind} points={points} unit={unit} />
          {over?.(unit)}
          {expected && <Ring expected={expected} unit={unit} />}
          <LandmarkLayer
            points={points}
            names={all}
            selected={selected}
            unit={unit}
            onSelect={setSelected}
            onDrag={(name, at) => show({ ...points, [name]: at })}
            onRest={save}
            onRemove={(name) => {
              const { [name]: _gone, ...rest } = points;
              show(rest);
              save(message('edits.removePoint', { point: all.find((p) => p.name === name)!.said }));
            }}
          />
        </>
      )}
    </PictureView>
  );
}

/** Points that belong together, joined: a point put in the wrong place is seen at once. */
function Joined({ kind, points, unit }: { kind: Kind; points: LandmarkSet['points']; unit: number }) {
  const lines = kind.template.joined.flatMap((names) =>
    names.slice(1).flatMap((name, i) => (points[names[i]] && points[name] ? [[points[names[i]], points[name]] as const] : [])),
  );
  const d =
    kind.own?.template.shapes.map((s) => shapePath(s, points)).join('') ?? lines.map(([[x, y], [u, v]]) => `M${x} ${y}L${u} ${v}`).join('');
  return (
    <g fill="none" aria-hidden>
      <path d={d} stroke="#000" strokeWidth={2.2 * unit} opacity={0.35} />
      <path d={d} stroke="#fff" strokeWidth={unit} opacity={0.9} />
    </g>
  );
}

/** Where the next point is to be looked for. */
function Ring({ expected: { at }, unit }: { expected: Expected; unit: number }) {
  const ring = { cx: at[0], cy: at[1], r: 11 * unit, fill: 'none', strokeDasharray: `${3 * unit} ${3 * unit}` };
  return (
    <g aria-hidden data-expected>
      <circle {...ring} stroke="#000" strokeWidth={2.6 * unit} />
      <circle {...ring} stroke="#fff" strokeWidth={1.2 * unit} />
    </g>
  );
}

/** Which point comes next, how many are placed, and all of them by name. */
export function PlacingPrompt({ placing, turnedHref, children }: { placing: Placing; turnedHref: string | null; children?: ReactNode }) {
  const say = useSay();
  const {
    kind,
    points,
    shown,
    twice,
    setTwice,
    again,
    hidden,
    all,
    open,
    next,
    expected,
    selected,
    ask,
    put,
    skip,
    hide,
    snap,
    setSnap,
    nearer,
    setNearer,
    state,
  } = placing;
  const turned = kind.house && turnedHead({ template: kind.house, points });
  const placed = all.filter((p) => shown[p.name]);
  const wanted = twice ? Object.keys(points).length : all.length - hidden.length;
  const spread = twice && Object.keys(again).length ? placingSpread(points, again) : null;
  return (
    <>
      <div className="mt-3 grid grid-cols-[7.5rem_1fr] gap-3">
        <TemplateDiagram
          template={kind.template}
          next={next?.name}
          placed={new Set(placed.map((p) => p.name))}
          className="max-h-40 w-full border border-base-300"
        />
        <div className="flex min-h-40 flex-col gap-2">
          <p className="text-lg leading-snug" role="status">
            {next
              ? say('proportion.next', { point: next.said })
              : say(open.length ? 'proportion.passed' : 'proportion.done', { n: open.length })}
          </p>
          <div className="mt-auto flex flex-wrap gap-1">
            <button type="button" className="btn btn-sm" disabled={!expected} onClick={() => expected && put(expected.at)}>
              <Sparkles aria-hidden className="size-4" /> {say(expected?.by === 'twin' ? 'proportion.asTwin' : 'proportion.asExpected')}
            </button>
            <button type="button" className="btn btn-sm" disabled={!next} onClick={skip}>
              <SkipForward aria-hidden className="size-4" /> {say('proportion.skip')}
            </button>
            <button type="button" className="btn btn-sm" disabled={!next || twice} onClick={hide}>
              <EyeOff aria-hidden className="size-4" /> {say('proportion.hide')}
            </button>
          </div>
        </div>
      </div>
      <p className="mt-2 flex flex-wrap items-center gap-x-4 text-sm">
        <span>{say('proportion.placed', { placed: placed.length, all: wanted, state: message(`shared.${state}`) })}</span>
        <label className="inline-flex items-center gap-1">
          <input type="checkbox" className="checkbox checkbox-xs" checked={snap} onChange={(e) => setSnap(e.target.checked)} />
          {say('proportion.snap')}
        </label>
        <label className="inline-flex items-center gap-1">
          <input type="checkbox" className="checkbox checkbox-xs" checked={nearer} onChange={(e) => setNearer(e.target.checked)} />
          {say('proportion.nearer')}
        </label>
        {children}
        {Object.keys(points).length > 2 && (
          <label className="inline-flex items-center gap-1">
            <input type="checkbox" className="checkbox checkbox-xs" checked={twice} onChange={(e) => setTwice(e.target.checked)} />
            {say('proportion.twice')}
          </label>
        )}
      </p>
      {twice && (
        <p className="text-sm" role="status">
          {spread === null
            ? say('proportion.twiceHow')
            : say('proportion.twiceRead', { n: Object.keys(again).length, part: amount(spread, 'share') })}
        </p>
      )}
      {turned && (
        <p className="alert mt-2 text-sm" role="status">
          <span>
            {say('proportion.turned', { far: turned.far, times: amount(turned.narrower, 'times') })}{' '}
            {turnedHref && (
              <Link className="link" href={turnedHref}>
                {say('proportion.turnTo')}
              </Link>
            )}
          </span>
        </p>
      )}
      <details className="mt-1 text-sm">
        <summary>{say('proportion.all')}</summary>
        <ul className="columns-2">
          {all.map((p) => (
            <li key={p.name}>
              <button
                type="button"
                className={`text-start hover:underline ${p.name === selected ? 'font-semibold' : ''}`}
                onClick={() => ask(p.name)}
              >
                {shown[p.name] ? '●' : hidden.includes(p.name) ? '–' : '○'} {say(p.said)}
              </button>
            </li>
          ))}
        </ul>
      </details>
    </>
  );
}
