'use client';
import { PointerEvent, ReactNode, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { typed } from '@/core/message';
import { screenPicture, readingWorker, wholePicture } from '../reading/client';
import type { ShownPicture } from '../reading/reading.worker';
import { useSay } from '../../words/Words';
import { LayerCanvas, Layered } from '../layers/LayerCanvas';
import { MiniMap } from './MiniMap';
import { bounded, Nearness, nearerTo, Room, Toward, WHOLE } from './nearness';
import { Looking } from './tools';
import { ZoomBox } from './ZoomBox';

interface Props {
  pictureId: string;
  width: number;
  height: number;
  alt: string;
  on: Looking;
  steps?: number;
  gridColumns?: number;
  /** Drawn over the picture in its own pixels; told how many of them one px of the screen is, so that handles keep their size. */
  children?: (unit: number) => ReactNode;
  onPoint?: (at: [number, number], event: PointerEvent) => void;
  onMove?: (at: [number, number], event: PointerEvent) => void;
  onRelease?: () => void;
  lensAlways?: boolean;
  /** How many times larger the lens shows it. */
  lensTimes?: number;
  /** A click places something: then two of them do not bring the picture nearer. */
  placing?: boolean;
  /** How near a frame of its own is drawn that it fills. */
  framed?: number;
  /** What layers over it are told of. */
  layered?: Layered;
  /** A place that is looked at nearer by itself. */
  toward?: Toward | null;
  /** Where another picture beside it decides how near this one is looked at, too. */
  linked?: { view: Nearness; onView: (view: Nearness) => void };
}

const LENS = 3;
/** From here on the whole picture is shown instead of the screen-sized one. */
const FINE = 1.3;

/** How near each picture was looked at last, while one moves between the steps. */
const kept = new Map<string, Nearness>();

/** A picture on the bench, as large as its place allows, seen through the looking tools, drawn nearer and moved about. */
export function PictureView(props: Props) {
  return <View key={props.pictureId} {...props} />;
}

function View({
  pictureId,
  width,
  height,
  alt,
  on,
  steps = 5,
  gridColumns = 6,
  children,
  onPoint,
  onMove,
  onRelease,
  lensAlways,
  lensTimes = LENS,
  placing,
  framed,
  layered,
  toward,
  linked,
}: Props) {
  const say = useSay();
  const frame = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [made, setMade] = useState<{ key: string; picture: ShownPicture } | null>(null);
  const [at, setAt] = useState<{ x: number; y: number; w: number } | null>(null);
  const place = useRef<HTMLDivElement>(null);
  const [box, setBox] = useState<readonly [number, number] | null>(null);
  const [own, setOwn] = useState<Nearness>(() => kept.get(pictureId) ?? WHOLE);
  // What was gone to by itself is left by the first look elsewhere.
  const [left, setLeft] = useState<string | null>(null);
  useLayoutEffect(() => {
    const seen = new ResizeObserver(([{ contentRect }]) => setBox([contentRect.width, contentRect.height]));
    if (place.current) seen.observe(place.current);
    return () => seen.disconnect();
  }, []);
  const look = (next: Nearness) => {
    if (linked) return linked.onView(next);
    if (toward) setLeft(toward.key);
    kept.set(pictureId, next);
    setOwn(next);
  };
  const wanted = on.values ? `v${steps}` : on.squint ? 's' : '';
  const key = wanted ? `${pictureId}:${wanted}` : '';
  useEffect(() => {
    if (!key) return;
    let stale = false;
    const worker = readingWorker();
    const url = wholePicture(pictureId);
    void (wanted === 's' ? worker.squint(url, 9) : worker.values(url, steps)).then((picture) => !stale && setMade({ key, picture }));
    return () => {
      stale = true;
    };
  }, [key, wanted, pictureId, steps]);
  const ready = made && made.key === key ? made.picture : null;
  useEffect(() => {
    if (!ready || !canvas.current) return;
    canvas.current.width = ready.width;
    canvas.current.height = ready.height;
    canvas.current.getContext('2d')!.putImageData(new ImageData(new Uint8ClampedArray(ready.rgba), ready.width, ready.height), 0, 0);
  }, [ready]);
  const pointOf = (e: PointerEvent): [number, number] => {
    const box = frame.current!.getBoundingClientRect();
    const u = (e.clientX - box.left) / box.width;
    const v = (e.clientY - box.top) / box.height;
    return [(on.mirror ? 1 - u : u) * width, (on.flip ? 1 - v : v) * height];
  };
  const rows = Math.max(1, Math.round((gridColumns * height) / width));
  const lens = on.lens || lensAlways;
  const ratio = width / height;
  // Whole it is as wide as its place, or as high.
  const across = box && (framed ? box[0] : Math.min(box[0], box[1] * ratio));
  const room: Room = box && across && !framed ? [box[0] / across, (box[1] * ratio) / across] : [1, 1];
  const itself = toward && across && toward.key !== left ? nearerTo(toward, own, width, height, across) : own;
  const seen = framed ? WHOLE : bounded(linked?.view ?? itself, room);
  const unit = across ? width / (across * seen.zoom) : width / 700;
  const middle = [on.mirror ? 1 - seen.x : seen.x, on.flip ? 1 - seen.y : seen.y];
  const whole = { width: `min(100cqw, calc(100cqh * ${ratio}))`, left: '50%', top: '50%', translate: '-50% -50%' };
  const near = across && {
    width: across * seen.zoom,
    left: box[0] / 2 - middle[0] * across * seen.zoom,
    top: box[1] / 2 - (middle[1] * across * seen.zoom) / ratio,
  };
  const picture = (
    <div
      ref={frame}
      className={`${framed ? 'relative w-full' : 'absolute'} select-none`}
      style={{
        aspectRatio: `${width} / ${height}`,
        ...(framed ? {} : near || whole),
        transform: `scale(${on.mirror ? -1 : 1}, ${on.flip ? -1 : 1})`,
      }}
      onPointerDown={(e) => e.button === 0 && onPoint?.(pointOf(e), e)}
      onPointerMove={(e) => {
        const box = frame.current!.getBoundingClientRect();
        setAt({ x: (e.clientX - box.left) / box.width, y: (e.clientY - box.top) / box.height, w: box.width });
        onMove?.(pointOf(e), e);
      }}
      onPointerUp={() => onRelease?.()}
      onPointerLeave={() => setAt(null)}
    >
      <img
        src={(framed ?? seen.zoom) > FINE ? wholePicture(pictureId) : screenPicture(pictureId)}
        alt={alt}
        draggable={false}
        className="absolute inset-0 h-full w-full"
      />
      {wanted && (
        <canvas
          ref={canvas}
          aria-label={say(on.values ? 'bench.inValues' : 'bench.squinted', { picture: typed(alt) })}
          className="absolute inset-0 h-full w-full"
          style={{ visibility: ready ? 'visible' : 'hidden' }}
        />
      )}
      <svg viewBox={`0 0 ${width} ${height}`} className="absolute inset-0 h-full w-full overflow-visible">
        {on.grid && (
          <g stroke="#ffffff" strokeWidth={unit} style={{ mixBlendMode: 'difference' }}>
            {Array.from({ length: gridColumns - 1 }, (_, i) => (
              <line key={`c${i}`} x1={((i + 1) * width) / gridColumns} x2={((i + 1) * width) / gridColumns} y1={0} y2={height} />
            ))}
            {Array.from({ length: rows - 1 }, (_, i) => (
              <line key={`r${i}`} y1={((i + 1) * height) / rows} y2={((i + 1) * height) / rows} x1={0} x2={width} />
            ))}
          </g>
        )}
        {on.quarters && (
          <g stroke="#ffffff" strokeWidth={1.5 * unit} style={{ mixBlendMode: 'difference' }}>
            <line x1={width / 2} x2={width / 2} y1={0} y2={height} />
            <line x1={0} x2={width} y1={height / 2} y2={height / 2} />
            <g strokeDasharray={`${8 * unit} ${8 * unit}`}>
              {[0.25, 0.75].map((t) => (
                <g key={t}>
                  <line x1={t * width} x2={t * width} y1={0} y2={height} />
                  <line x1={0} x2={width} y1={t * height} y2={t * height} />
                </g>
              ))}
            </g>
          </g>
        )}
        {children?.(unit)}
      </svg>
      {lens && at && (
        <div
          aria-hidden
          className="pointer-events-none absolute size-36 overflow-hidden rounded-full border-2 border-white shadow-[0_0_0_2px_#000]"
          style={{
            left: `${100 * at.x}%`,
            top: `${100 * at.y}%`,
            transform: `translate(${at.x > 0.6 ? '-115%' : '15%'}, ${at.y > 0.5 ? '-115%' : '15%'})`,
            backgroundImage: `url(${lensTimes > LENS ? wholePicture(pictureId) : screenPicture(pictureId)})`,
            backgroundSize: `${at.w * lensTimes}px auto`,
            backgroundPosition: `${-at.x * at.w * lensTimes + 72}px ${-((at.y * at.w * height) / width) * lensTimes + 72}px`,
          }}
        >
          <span className="absolute top-1/2 left-0 w-full border-t border-white mix-blend-difference" />
          <span className="absolute top-0 left-1/2 h-full border-s border-white mix-blend-difference" />
        </div>
      )}
    </div>
  );
  if (framed)
    return (
      <div ref={place} className="relative">
        {picture}
        {layered && across && (
          <LayerCanvas
            subject={layered}
            width={width}
            height={height}
            at={[0, 0, across / width]}
            mirror={on.mirror}
            flip={on.flip}
            fine={framed}
          />
        )}
      </div>
    );
  return (
    <div ref={place} className="relative min-h-0 min-w-0 flex-1">
      <ZoomBox
        view={seen}
        onView={look}
        label={alt}
        room={room}
        dragTaken={!!onPoint}
        clicksTaken={placing}
        mirror={on.mirror}
        flip={on.flip}
        className="h-full w-full"
      >
        {picture}
      </ZoomBox>
      {layered && near && (
        <LayerCanvas
          subject={layered}
          width={width}
          height={height}
          at={[near.left, near.top, near.width / width]}
          mirror={on.mirror}
          flip={on.flip}
          legend
        />
      )}
      <MiniMap pictureId={pictureId} ratio={ratio} view={seen} room={room} onView={look} />
    </div>
  );
}
