'use client';
import { useQuery } from '@tanstack/react-query';
import { Crosshair, X } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Reading, ShownReading } from '@/core/marks/reading';
import { amount, figure, Message, message, several } from '@/core/message';
import { kindName, type Telling, tellEdges, tellKind, tellReading, tellWhole } from '@/core/style/readings';
import { howMeasured, surerBy } from '@/core/style/surer';
import type { MARK_KINDS } from '@/core/marks/kinds';
import { Bench } from '../shared/Bench';
import { Shares } from '../shared/evidence/Shares';
import { Grounds, Told } from '../shared/evidence/Told';
import { Reading as ReadingTold } from '../shared/evidence/Reading';
import { Rests, sizesIn } from '../shared/evidence/rests';
import type { Layered } from '../shared/layers/LayerCanvas';
import { LayersOver } from '../shared/layers/Layers';
import { PictureView } from '../shared/looking/PictureView';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { readingWorker, wholePicture } from '../shared/reading/client';
import { problemOf, send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { StripWork, WorkStrip } from '../shared/WorkStrip';
import { Rule, RuleList } from '../rules/RuleList';
import { RuledBy, TickReading } from '../rules/TickReading';
import { useSay } from '../words/Words';

interface MarksWork extends StripWork {
  pictureWidth: number;
  pictureHeight: number;
  widthMm: number | null;
  foil: boolean;
  layered: Layered;
  pins: { id: string; patch: [number, number, number, number]; reading: unknown }[];
}

interface Props {
  studyId: string;
  works: MarksWork[];
  work: MarksWork;
  ground: number[] | null;
  /** Width of the picture proper, px. */
  properWidth: number;
  overall: Reading | null;
  edges: { outlined: number; sharp: number; soft: number; lost: number } | null;
  /** What else is told of the whole work: surface, colour against line, finish. */
  surface: Telling[];
  shares: [(typeof MARK_KINDS)[number], number][];
  /** What the readings of the whole work rest on. */
  rests: Rests | null;
  ruledBy: RuledBy;
  rules: Rule[];
}

type Rect = [number, number, number, number];
const PATCHES = ['patches'] as const;

/** What most of a work is made of, and what comes beside it. */
function wholeOf(overall: Reading, shares: Props['shares']): Message {
  if (!overall.kind) return tellWhole(null);
  const others = shares.filter(([k, v]) => k !== overall.kind && v >= 0.05).slice(0, 2);
  if (!others.length) return tellWhole(overall.kind);
  const parts = others.map(([k, v]) => message('readings.part', { kind: kindName(k), share: amount(v, 'share') }));
  return message('readings.wholeBeside', { kind: kindName(overall.kind), others: several(parts) });
}

/** What a window's readings rest on; of its own are only the marks. */
const patchRests = ({ reading, distributions }: ShownReading, whole: Rests | null): Rests => ({
  features: null,
  marks: distributions,
  sizes: sizesIn(reading),
  lightness: null,
  steps: [],
  palette: [],
  known: whole?.known ?? { widthMm: null, pxPerMm: null, sheet: true, works: 0 },
  mmPerPixel: whole?.mmPerPixel ?? null,
});

/** The strokes a window's reading traced. */
function TracedStrokes({ strokes: { points, starts }, unit }: { strokes: ShownReading['strokes']; unit: number }) {
  const d = useMemo(() => {
    const lines: string[] = [];
    for (let k = 0; k + 1 < starts.length; k++) {
      const at = Array.from({ length: starts[k + 1] - starts[k] }, (_, i) => {
        const j = 2 * (starts[k] + i);
        return `${points[j].toFixed(1)} ${points[j + 1].toFixed(1)}`;
      });
      lines.push(`M${at.join('L')}`);
    }
    return lines.join('');
  }, [points, starts]);
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round" data-traced={starts.length - 1}>
      <path d={d} stroke="#000" strokeWidth={2.6 * unit} />
      <path d={d} stroke="#fff" strokeWidth={1 * unit} />
    </g>
  );
}

/** All that a window's or a kept patch's reading tells, each opening to what it rests on. */
function PatchTold({ shown, whole }: { shown: ShownReading; whole: Rests | null }) {
  return (
    <ul>
      {tellReading(shown.reading, 'window').map((t) => (
        <li key={t.feature}>
          <ReadingTold told={t} rests={patchRests(shown, whole)} inWindow />
        </li>
      ))}
    </ul>
  );
}

interface KeptProps {
  pin: MarksWork['pins'][number];
  read: () => Promise<ShownReading>;
  rests: Rests | null;
  onGoTo: () => void;
  onLetGo: () => void;
}

/** A patch that was kept: what it told then, opening to all it tells and what that rests on. */
function KeptPatch({ pin, read, rests, onGoTo, onLetGo }: KeptProps) {
  const say = useSay();
  const kept = pin.reading as Reading;
  const first = tellReading(kept, 'window')[0].said;
  return (
    <Told said={message('marks.keptTold', { kind: tellKind(kept), first })} lights={{ layer: 'patches' }}>
      <ReadAgain id={pin.id} read={read} rests={rests} />
      <p className="flex gap-2">
        <button type="button" className="btn btn-sm" onClick={onGoTo}>
          <Crosshair aria-hidden className="size-4" /> {say('marks.goTo')}
        </button>
        <button type="button" className="btn btn-sm" onClick={onLetGo}>
          <X aria-hidden className="size-4" /> {say('marks.letGo')}
        </button>
      </p>
    </Told>
  );
}

function ReadAgain({ id, read, rests }: { id: string } & Pick<KeptProps, 'read' | 'rests'>) {
  const say = useSay();
  const { data, error } = useQuery({ queryKey: ['patch', id], queryFn: read, staleTime: Infinity });
  if (error) return <Notice said={problemOf(error)} />;
  return data ? <PatchTold shown={data} whole={rests} /> : <p>{say('shared.loading')}</p>;
}

export function MarksBench(props: Props) {
  return (
    <LayersOver key={props.work.id} first={PATCHES}>
      <Reader {...props} />
    </LayersOver>
  );
}

function Reader({ studyId, works, work, ground, properWidth, overall, edges, surface, shares, rests, ruledBy, rules }: Props) {
  const say = useSay();
  const looking = useLooking();
  const { act, problem } = useChange();
  const side = Math.round(Math.min(240, Math.min(work.pictureWidth, work.pictureHeight) / 3));
  const [rect, setRect] = useState<Rect>([Math.round(work.pictureWidth * 0.1), Math.round(work.pictureHeight * 0.3), side, side]);
  const [live, setLive] = useState<(ShownReading & { ms: number; rect: Rect }) | null>(null);
  const [failed, setFailed] = useState<Message | null>(null);
  const grip = useRef<[number, number] | null>(null);
  const busy = useRef(false);
  const waiting = useRef<Rect | null>(null);
  const url = wholePicture(work.pictureId);
  useEffect(() => {
    const read = async (wanted: Rect) => {
      // One reading at a time; of those asked meanwhile only the last counts.
      if (busy.current) {
        waiting.current = wanted;
        return;
      }
      busy.current = true;
      try {
        setLive({ ...(await readingWorker().patch(url, wanted, ground, properWidth, work.widthMm)), rect: wanted });
        setFailed(null);
      } catch (error) {
        setFailed(problemOf(error));
      } finally {
        busy.current = false;
        const again = waiting.current;
        waiting.current = null;
        if (again) void read(again);
      }
    };
    void read(rect);
  }, [rect, url, ground, work.widthMm, properWidth]);
  const clamp = (r: Rect): Rect => {
    const w = Math.max(40, Math.min(work.pictureWidth, 640, Math.round(r[2])));
    const h = Math.max(40, Math.min(work.pictureHeight, 640, Math.round(r[3])));
    return [
      Math.max(0, Math.min(work.pictureWidth - w, Math.round(r[0]))),
      Math.max(0, Math.min(work.pictureHeight - h, Math.round(r[1]))),
      w,
      h,
    ];
  };
  const centre = (at: [number, number]) => setRect((r) => clamp([at[0] - r[2] / 2, at[1] - r[3] / 2, r[2], r[3]]));
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
          layered={work.layered}
          onPoint={(at) => {
            grip.current = at;
            centre(at);
          }}
          onMove={(at) => grip.current && centre(at)}
          onRelease={() => (grip.current = null)}
        >
          {(unit) => (
            <>
              <g
                tabIndex={0}
                role="slider"
                aria-label={say('marks.window')}
                aria-valuenow={rect[0]}
                aria-valuetext={say('marks.windowAt', { x: rect[0], y: rect[1], width: amount(rect[2], 'px') })}
                className="cursor-move"
                onKeyDown={(e) => {
                  const step = e.shiftKey ? 60 : 15;
                  const by = {
                    ArrowLeft: [-step, 0, 0],
                    ArrowRight: [step, 0, 0],
                    ArrowUp: [0, -step, 0],
                    ArrowDown: [0, step, 0],
                    '+': [-10, -10, 20],
                    '-': [10, 10, -20],
                  }[e.key];
                  if (!by) return;
                  e.preventDefault();
                  setRect((r) => clamp([r[0] + by[0], r[1] + by[1], r[2] + by[2], r[3] + by[2]]));
                }}
              >
                <rect
                  x={rect[0]}
                  y={rect[1]}
                  width={rect[2]}
                  height={rect[3]}
                  fill="#fff"
                  fillOpacity="0.06"
                  stroke="#000"
                  strokeWidth={3.2 * unit}
                />
                <rect x={rect[0]} y={rect[1]} width={rect[2]} height={rect[3]} fill="none" stroke="#fff" strokeWidth={1.5 * unit} />
                {live && live.rect === rect && <TracedStrokes strokes={live.strokes} unit={unit} />}
              </g>
            </>
          )}
        </PictureView>
      }
      strip={<WorkStrip works={works} current={work.id} href={`/studies/${studyId}/marks`} />}
    >
      <section aria-live="polite">
        <h2 className="text-lg font-semibold">{say('marks.inWindow')}</h2>
        <label className="flex items-center gap-2 text-sm">
          {say('marks.size')}
          <input
            type="range"
            className="range range-xs w-32"
            min={60}
            max={Math.min(640, work.pictureWidth, work.pictureHeight)}
            value={rect[2]}
            onChange={(e) =>
              setRect((r) =>
                clamp([
                  r[0] + (r[2] - Number(e.target.value)) / 2,
                  r[1] + (r[3] - Number(e.target.value)) / 2,
                  Number(e.target.value),
                  Number(e.target.value),
                ]),
              )
            }
          />
          {live && <span>{say('marks.readIn', { time: message('units.ms', { n: figure(live.ms) }) })}</span>}
        </label>
        {live && (
          <>
            <p className="mt-1 text-lg">{say(tellKind(live.reading))}</p>
            <PatchTold shown={live} whole={rests} />
            <button
              type="button"
              className="btn btn-sm mt-2"
              onClick={() => void act(() => send('POST', `/api/works/${work.id}/pins`, { patch: rect, reading: live.reading }))}
            >
              {say('marks.keep')}
            </button>
          </>
        )}
        <Notice said={failed ?? problem} />
      </section>
      {work.pins.length > 0 && (
        <section className="mt-3">
          <h2 className="text-lg font-semibold">{say('marks.kept')}</h2>
          <ol className="list-decimal ps-5">
            {work.pins.map((p) => (
              <li key={p.id}>
                <KeptPatch
                  pin={p}
                  read={() => readingWorker().patch(url, p.patch, ground, properWidth, work.widthMm)}
                  rests={rests}
                  onGoTo={() => setRect(clamp(p.patch))}
                  onLetGo={() => void act(() => send('DELETE', `/api/works/${work.id}/pins?id=${p.id}`))}
                />
              </li>
            ))}
          </ol>
        </section>
      )}
      <section className="mt-4 border-t border-base-300 pt-3">
        <h2 className="text-lg font-semibold">{say('marks.whole')}</h2>
        {!overall && <p>{say('marks.waiting')}</p>}
        {overall && (
          <>
            <Told said={wholeOf(overall, shares)} lights={{ layer: 'kinds' }}>
              <Shares of={shares.map(([k, v]) => [say(kindName(k)), v])} />
              <Grounds
                spread={null}
                how={howMeasured('marks.share')}
                surer={rests ? surerBy('marks.share', { ...rests.known, counted: null }) : []}
              />
            </Told>
            <ul className="mt-1 grid gap-1">
              {[...tellReading(overall, 'work'), ...(edges ? [tellEdges(edges)] : []), ...surface].map((t) => (
                <li key={t.feature} className="flex items-start gap-2">
                  <TickReading studyId={studyId} told={t} work={work} ruledBy={ruledBy} rules={rules} />
                  <div className="min-w-0 flex-1">{rests ? <ReadingTold told={t} rests={rests} /> : say(t.said)}</div>
                </li>
              ))}
            </ul>
            <p className="mt-2 text-sm">{say('marks.method')}</p>
          </>
        )}
      </section>
      <RuleList studyId={studyId} rules={rules} />
    </Bench>
  );
}
