'use client';
import { Lasso, MousePointerClick, Square, Trash2 } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { amount, Message, message, several, typed } from '@/core/message';
import { FOUND_AS, FoundAs } from '@/core/composition/foundParts';
import type { BodyRulers } from '@/core/proportion/bodyRulers';
import { buildUp, BuildStep, simpleShare } from '@/core/proportion/buildUp';
import { crossesItself, signedArea } from '@/core/proportion/polygon';
import { bigToSmall, DrawnShape, Order, ORDERS, ReadShape, simplified } from '@/core/proportion/shapeList';
import { SHAPE_KINDS, ShapeKind } from '@/core/proportion/shapes';
import { placeOnSheet } from '@/core/proportion/transfer';
import { Rule } from '../rules/RuleList';
import { TickSentence } from '../rules/TickRule';
import { Bench } from '../shared/Bench';
import { Choice } from '../shared/Choice';
import { Haloed } from '../shared/looking/Haloed';
import { Handle } from '../shared/looking/Handle';
import { PictureView } from '../shared/looking/PictureView';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { readingWorker, wholePicture } from '../shared/reading/client';
import { TypedInput } from '../shared/typing/Typed';
import { useSay } from '../words/Words';
import { type Drawn as DrawnOver, useDrawn, useReadShapes, useRelations } from './useDrawn';

type At = [number, number];

interface Props {
  studyId: string;
  work: { id: string; title: string; pictureId: string; pictureWidth: number; pictureHeight: number };
  /** The picture proper, px. */
  frame: readonly [number, number, number, number];
  /** The study's sheet, mm, turned as the work is. */
  sheet: readonly [number, number];
  rulers: BodyRulers;
  first: DrawnOver;
  rules: readonly Rule[];
  views: React.ReactNode;
  strip: React.ReactNode;
}

/** A line that is drawn by hand is followed to so many px of the screen. */
const FOLLOWED = 2;
/** Less of the picture than this is a slip of the pointer. */
const LEAST = 0.0005;

const path = (outline: readonly (readonly [number, number])[]) => `${outline.map(([x, y], i) => `${i ? 'L' : 'M'}${x} ${y}`).join('')}Z`;

/** Shapes before points: parts of a work as basic shapes, big to small, and the build-up they make. */
export function ShapesBench({ studyId, work, frame, sheet, rulers, first, rules, views, strip }: Props) {
  const say = useSay();
  const looking = useLooking();
  const { shapes, put, problem } = useDrawn(work.id, first);
  const read = useReadShapes(shapes, frame);
  const { meetings, whole } = useRelations(shapes, frame);
  const [mode, setMode] = useState<'look' | 'lasso' | FoundAs>('look');
  const [line, setLine] = useState<At[] | null>(null);
  const drawing = useRef<At[] | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [lit, setLit] = useState<string | null>(null);
  const [told, setTold] = useState<Message | null>(null);
  const [step, setStep] = useState<number | null>(null);
  const placing = useMemo(() => placeOnSheet([frame[2], frame[3]], sheet, 'fit', 0), [frame, sheet]);
  const [order, setOrder] = useState<Order>('size');
  const steps = useMemo(() => buildUp(read, frame, placing, rulers, meetings, order), [read, frame, placing, rulers, meetings, order]);
  const inside = ([x, y]: readonly [number, number]): At => [
    Math.min(work.pictureWidth, Math.max(0, Math.round(x * 4) / 4)),
    Math.min(work.pictureHeight, Math.max(0, Math.round(y * 4) / 4)),
  ];
  /** Gives the new shape's id; null where it is none, which is told. */
  const add = (outline: At[]): string | null => {
    const refuse = (said: Message) => (setTold(said), null);
    if (crossesItself(outline)) return refuse(message('shapes.crosses'));
    if (outline.length < 3 || Math.abs(signedArea(outline)) < LEAST * work.pictureWidth * work.pictureHeight)
      return refuse(message('shapes.small'));
    let n = shapes.length + 1;
    while (shapes.some((s) => s.name === say('shapes.newName', { n }))) n++;
    const shape: DrawnShape = { id: crypto.randomUUID(), name: say('shapes.newName', { n }), outline, as: null, gap: false };
    setTold(null);
    setMode('look');
    put({ shapes: [...shapes, shape] }, message('edits.shape', { name: typed(shape.name) }));
    return shape.id;
  };
  const change = (id: string, part: Partial<DrawnShape>) => {
    const of = shapes.find((s) => s.id === id);
    if (!of) return;
    put(
      { shapes: shapes.map((s) => (s.id === id ? { ...s, ...part } : s)) },
      message('edits.shape', { name: typed(part.name ?? of.name) }),
    );
  };
  const press = (at: At, unit: number) => {
    setTold(null);
    if (mode === 'lasso') setLine((drawing.current = [inside(at)]));
    else if (mode !== 'look')
      void readingWorker()
        .part(wholePicture(work.pictureId), at, mode)
        .catch(() => null)
        .then((found) => (found ? add(simplified(found, FOLLOWED * unit).map(inside)) : setTold(message('shapes.foundNone'))));
  };
  // Escape leaves a line that is being drawn.
  useEffect(() => {
    const down = (e: KeyboardEvent) => {
      if (e.key !== 'Escape') return;
      drawing.current = null;
      setLine(null);
      setMode('look');
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, []);
  const current = step === null ? null : (steps[Math.min(step, steps.length - 1)] ?? null);
  const before = step === null ? [] : steps.slice(0, step).map((s) => s.read.shape.id);
  const unitHere = useRef(1);
  return (
    <Bench
      tools={<ToolRow {...looking} />}
      strip={strip}
      picture={
        <PictureView
          pictureId={work.pictureId}
          width={work.pictureWidth}
          height={work.pictureHeight}
          alt={say.typed(work.title)}
          on={looking.on}
          placing={mode !== 'look'}
          onPoint={
            mode === 'look'
              ? undefined
              : (at, e) => {
                  e.currentTarget.setPointerCapture(e.pointerId);
                  press(at, unitHere.current);
                }
          }
          onMove={(at) => {
            const on = drawing.current;
            if (!on) return;
            const [x, y] = on[on.length - 1];
            if (Math.hypot(at[0] - x, at[1] - y) > FOLLOWED * unitHere.current) setLine((drawing.current = [...on, inside(at)]));
          }}
          onRelease={() => {
            const on = drawing.current;
            drawing.current = null;
            setLine(null);
            if (on) add(simplified(on, FOLLOWED * unitHere.current).map(inside));
          }}
        >
          {(unit) => {
            unitHere.current = unit;
            return (
              <g data-shapes>
                {read
                  .filter((r) => !current || before.includes(r.shape.id) || r === current.read)
                  .map((r) => (
                    <Drawn
                      key={r.shape.id}
                      read={r}
                      unit={unit}
                      strong={current ? r === current.read : r.shape.id === (lit ?? chosen)}
                      faint={current !== null && r !== current.read}
                    />
                  ))}
                {line && (
                  <g fill="none">
                    <Haloed d={path(line).slice(0, -1)} unit={unit} width={2} />
                  </g>
                )}
                {shapes
                  .filter((s) => s.id === chosen && !current)
                  .map((s) =>
                    s.outline.map((at, i) => (
                      <Handle
                        key={i}
                        at={at}
                        unit={0.7 * unit}
                        label={say('shapes.corner', { n: i + 1 })}
                        onMove={(to) => {
                          const outline = s.outline.map((p, k) => (k === i ? inside(to) : p));
                          if (!crossesItself(outline)) change(s.id, { outline });
                        }}
                        onRemove={s.outline.length > 3 ? () => change(s.id, { outline: s.outline.filter((_, k) => k !== i) }) : undefined}
                      />
                    )),
                  )}
              </g>
            );
          }}
        </PictureView>
      }
    >
      {views}
      {current ? (
        <Step
          current={current}
          n={Math.min(step!, steps.length - 1) + 1}
          of={steps.length}
          onStep={(by) => setStep(Math.min(steps.length - 1, Math.max(0, step! + by)))}
          onEnd={() => setStep(null)}
        />
      ) : (
        <>
          <h2 className="mt-3 text-lg font-semibold">{say('shapes.title')}</h2>
          <p className="text-sm">{say('shapes.how')}</p>
          <div className="mt-2 flex flex-wrap gap-2">
            <button
              type="button"
              aria-pressed={mode === 'lasso'}
              className={`btn btn-sm ${mode === 'lasso' ? 'btn-neutral' : ''}`}
              onClick={() => setMode(mode === 'lasso' ? 'look' : 'lasso')}
            >
              <Lasso aria-hidden className="size-4" /> {say('shapes.lasso')}
            </button>
            <button
              type="button"
              className="btn btn-sm"
              onClick={() => {
                // A box in the middle, whose corners are moved by keys as well as by hand.
                const [x, y, w, h] = frame;
                const id = add([
                  [x + 0.4 * w, y + 0.4 * h],
                  [x + 0.6 * w, y + 0.4 * h],
                  [x + 0.6 * w, y + 0.6 * h],
                  [x + 0.4 * w, y + 0.6 * h],
                ]);
                if (id) setChosen(id);
              }}
            >
              <Square aria-hidden className="size-4" /> {say('shapes.box')}
            </button>
            <fieldset className="flex flex-wrap items-center gap-2 text-sm">
              <legend className="sr-only">{say('shapes.found')}</legend>
              {FOUND_AS.map((as) => (
                <button
                  key={as}
                  type="button"
                  aria-pressed={mode === as}
                  className={`btn btn-sm ${mode === as ? 'btn-neutral' : ''}`}
                  onClick={() => setMode(mode === as ? 'look' : as)}
                >
                  <MousePointerClick aria-hidden className="size-4" /> {say(`shapes.foundAs.${as}`)}
                </button>
              ))}
            </fieldset>
          </div>
          <p className="mt-1 min-h-5 text-sm" role="status">
            {told ? say(told) : mode === 'lasso' ? say('shapes.lassoHow') : mode !== 'look' ? say('shapes.foundHow') : ''}
          </p>
          <Notice said={problem} />
          {!shapes.length && <p className="mt-2">{say('shapes.none')}</p>}
          <ol className="mt-2 grid gap-3">
            {[...bigToSmall(read), ...read.filter((r) => r.shape.gap)].map((r, i) => (
              <li
                key={r.shape.id}
                className="border-t border-base-300 pt-2"
                onMouseEnter={() => setLit(r.shape.id)}
                onMouseLeave={() => setLit(null)}
                onFocus={() => setLit(r.shape.id)}
                onBlur={() => setLit(null)}
              >
                <div className="flex items-center gap-2">
                  <span className="w-5 text-end tabular-nums" aria-hidden>
                    {r.shape.gap ? '' : i + 1}
                  </span>
                  <TypedInput
                    place={`shape:${r.shape.id}`}
                    stored={r.shape.name}
                    aria-label={say('shapes.name', { n: i + 1 })}
                    maxLength={60}
                    className="quiet-field flex-1"
                    skip={(name) => !name.trim()}
                    onSave={(name) => {
                      change(r.shape.id, { name });
                      return Promise.resolve(true);
                    }}
                  />
                  <button
                    type="button"
                    className="p-1"
                    aria-label={say('shapes.remove', { name: typed(r.shape.name) })}
                    onClick={() =>
                      put({ shapes: shapes.filter((s) => s.id !== r.shape.id) }, message('edits.shape', { name: typed(r.shape.name) }))
                    }
                  >
                    <Trash2 aria-hidden className="size-4" />
                  </button>
                </div>
                <div className="ms-7 flex flex-wrap items-center gap-x-3 gap-y-1 text-sm">
                  <select
                    className="select select-sm w-auto"
                    aria-label={say('shapes.as', { name: typed(r.shape.name) })}
                    value={r.drawn.kind}
                    onChange={(e) => change(r.shape.id, { as: SHAPE_KINDS.find((k) => k === e.target.value) ?? null })}
                  >
                    {r.ranked.map((f) => (
                      <option key={f.kind} value={f.kind}>
                        {say('shapes.fits', { kind: kindSaid(f.kind), share: amount(f.overlap, 'share') })}
                      </option>
                    ))}
                  </select>
                  <span>{say('shapes.area', { share: amount(r.share, 'share') })}</span>
                  {r.within && <span>{say('shapes.within', { name: typed(shapes.find((s) => s.id === r.within)?.name ?? '') })}</span>}
                  <label className="inline-flex items-center gap-1">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-xs"
                      checked={r.shape.gap}
                      onChange={(e) => change(r.shape.id, { gap: e.target.checked })}
                    />
                    {say('shapes.gap')}
                  </label>
                  <button
                    type="button"
                    className="link"
                    aria-pressed={chosen === r.shape.id}
                    onClick={() => setChosen(chosen === r.shape.id ? null : r.shape.id)}
                  >
                    {say('shapes.choose', { name: typed(r.shape.name) })}
                  </button>
                </div>
              </li>
            ))}
          </ol>
          {steps.length > 0 && (
            <>
              <div className="mt-3">
                <Choice
                  label={say('shapes.order')}
                  value={order}
                  options={ORDERS.map((o) => [o, say(`shapes.orders.${o}`)])}
                  onValue={(v) => setOrder(ORDERS.find((o) => o === v)!)}
                />
              </div>
              <p className="mt-3 flex flex-wrap gap-2">
                <button type="button" className="btn btn-sm btn-primary" onClick={() => setStep(0)}>
                  {say('shapes.build')}
                </button>
                <a
                  className="btn btn-sm"
                  href={`/api/works/${work.id}/carry?method=shapes&keys=only&order=${order}`}
                  target="_blank"
                  rel="noreferrer"
                >
                  {say('shapes.strip')}
                </a>
              </p>
            </>
          )}
          {meetings.length > 0 && (
            <section className="mt-4">
              <h3 className="font-semibold">{say('shapes.relations')}</h3>
              <ul className="list-disc ps-5 text-sm">
                {meetings.map((m) => (
                  <li key={`${m.front}${m.back}`}>
                    {say(m.sure ? 'shapes.stops' : 'shapes.mayStop', { front: nameOf(shapes, m.front), back: nameOf(shapes, m.back) })}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {whole && (
            <section className="mt-4">
              <h3 className="font-semibold">{say('shapes.whole')}</h3>
              <ul className="grid gap-1 text-sm">
                {[
                  message('shapes.wholeIs', { kind: whole.shape.kind, share: amount(whole.shape.overlap, 'share') }),
                  ...(['top', 'bottom', 'left', 'right'] as const)
                    .filter((side) => !whole.touched.includes(side))
                    .map((side) => message('shapes.free', { side, share: simpleShare(whole.free[side]) })),
                  ...(whole.touched.length
                    ? [
                        message('shapes.touches', {
                          n: whole.touched.length,
                          sides: several(whole.touched.map((side) => message(`shapes.side.${side}`))),
                        }),
                      ]
                    : []),
                  message('shapes.third', { row: String(whole.third.row), column: String(whole.third.column) }),
                  ...read
                    .filter((r) => !r.shape.gap)
                    .slice(0, 1)
                    .map((r) => message('shapes.head', { name: typed(r.shape.name), share: amount(r.box.bottom - r.box.top, 'share') })),
                  ...read
                    .filter((r) => r.shape.gap)
                    .map((r) => message('shapes.gapArea', { name: typed(r.shape.name), share: amount(r.share, 'share') })),
                ].map((said) => (
                  <li key={say(said)} className="flex gap-2">
                    <TickSentence
                      studyId={studyId}
                      said={said}
                      evidence={message('readings.evidence.one', { title: typed(work.title) })}
                      rules={rules}
                    />
                    <span>{say(said)}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </>
      )}
    </Bench>
  );
}

const kindSaid = (kind: ShapeKind) => message(`shapes.kind.${kind}`);
const nameOf = (shapes: readonly DrawnShape[], id: string) => typed(shapes.find((s) => s.id === id)?.name ?? '');

/** A part's own outline, fine, and the basic shape it is drawn as. */
function Drawn({ read, unit, strong, faint }: { read: ReadShape; unit: number; strong: boolean; faint: boolean }) {
  const shape = path(read.drawn.outline);
  return (
    <g fill="none" strokeLinejoin="round" opacity={faint ? 0.55 : 1} aria-hidden>
      {!faint && <path d={path(read.shape.outline)} stroke="#fff" strokeWidth={1 * unit} strokeDasharray={`${2 * unit} ${2 * unit}`} />}
      <Haloed d={shape} unit={unit} width={strong ? 3.2 : 1.6} dash={read.shape.gap ? [6, 4] : undefined} pale={faint} />
    </g>
  );
}

/** One step of the build-up: what is added, and where it stands. */
function Step({
  current,
  n,
  of,
  onStep,
  onEnd,
}: {
  current: BuildStep;
  n: number;
  of: number;
  onStep: (by: number) => void;
  onEnd: () => void;
}) {
  const say = useSay();
  return (
    <section className="mt-3" aria-live="polite">
      <h2 className="text-lg font-semibold">{say('shapes.step', { n, of })}</h2>
      <div className="mt-2 grid gap-2 text-lg leading-snug">
        {current.said.map((s, i) => (
          <p key={i}>{say(s)}</p>
        ))}
      </div>
      <p className="mt-4 flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm" disabled={n === 1} onClick={() => onStep(-1)}>
          {say('shapes.back')}
        </button>
        <button type="button" className="btn btn-sm btn-primary" disabled={n === of} onClick={() => onStep(1)}>
          {say('shapes.next')}
        </button>
        <button type="button" className="btn btn-sm" onClick={onEnd}>
          {say('shapes.end')}
        </button>
      </p>
    </section>
  );
}
