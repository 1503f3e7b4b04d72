'use client';
import { useEffect, useState } from 'react';
import { amount, typed } from '@/core/message';
import type { Piece } from '../pieces/piece';
import type { Layered } from '../shared/layers/LayerCanvas';
import { MiniMap } from '../shared/looking/MiniMap';
import { PictureView } from '../shared/looking/PictureView';
import type { Looking } from '../shared/looking/tools';
import { bounded, Nearness, WHOLE } from '../shared/looking/nearness';
import { Nearer, ZoomBox } from '../shared/looking/ZoomBox';
import { useSay } from '../words/Words';

export interface Source {
  id: string;
  title: string;
  pictureId: string;
  widthMm: number | null;
  heightMm: number | null;
  pictureWidth: number;
  pictureHeight: number;
  layered: Layered;
}

export type Way = 'beside' | 'overlay' | 'blink';

interface Props {
  way: Way;
  /** How far the piece shows through, per cent. */
  mix: number;
  piece: Piece;
  source: Source;
  on: Looking;
  /** Both drawn near together; else each by itself. */
  linked: boolean;
  /** How near source and piece are seen. */
  views: readonly [Nearness, Nearness];
  onViews: (views: [Nearness, Nearness]) => void;
}

/** Source and piece: side by side at true relative size when both widths are known, one over the other, or in turn. */
export function Sheets({ way, mix, piece, source, on, linked, views, onViews }: Props) {
  const say = useSay();
  const [first, setFirst] = useState(true);
  useEffect(() => {
    if (way !== 'blink') return;
    const timer = setInterval(() => setFirst((f) => !f), 700);
    return () => clearInterval(timer);
  }, [way]);
  const known = source.widthMm !== null && piece.sized;
  const ratioS = source.pictureWidth / source.pictureHeight;
  // A photograph not squared up yet is shown as it is.
  const upright = piece.rectifiedId !== null;
  const ratioP = upright ? piece.paperWidthMm / piece.paperHeightMm : piece.photoWidth / piece.photoHeight;
  const size = upright ? [piece.uprightWidth!, piece.uprightHeight!] : [piece.photoWidth, piece.photoHeight];
  const layeredPiece: Layered | undefined = upright
    ? {
        pictureId: piece.rectifiedId!,
        as: { widthMm: piece.sized ? piece.paperWidthMm : null, frame: [0, 0, piece.uprightWidth!, piece.uprightHeight!], leftOut: null },
        sets: piece.sets,
      }
    : undefined;
  const ph = piece.paperHeightMm;
  const pw = ph * ratioP;
  const sw = known ? source.widthMm! : ph * ratioS;
  const sh = sw / ratioS;
  const change = (i: 0 | 1) => (view: Nearness) => onViews(linked ? [view, view] : i === 0 ? [view, views[1]] : [views[0], view]);
  const maps = [
    { pictureId: source.pictureId, ratio: ratioS },
    { pictureId: piece.rectifiedId ?? piece.photoId, ratio: ratioP },
  ];
  const sheet = (i: 0 | 1) =>
    i === 0 ? (
      <PictureView
        pictureId={source.pictureId}
        width={source.pictureWidth}
        height={source.pictureHeight}
        alt={say.typed(source.title)}
        on={on}
        layered={source.layered}
        framed={views[0].zoom}
      />
    ) : (
      <PictureView
        pictureId={piece.rectifiedId ?? piece.photoId}
        width={size[0]}
        height={size[1]}
        alt={say('compare.studentPiece')}
        on={on}
        layered={layeredPiece}
        framed={views[1].zoom}
      />
    );
  if (way === 'beside') {
    const all = sw + pw + 12;
    const high = Math.max(sh, ph);
    const side = (i: 0 | 1, width: number, caption: string) => (
      <figure style={{ width: `${(100 * width) / all}%` }}>
        <div className="relative">
          <ZoomBox view={views[i]} onView={change(i)} label={i === 0 ? say.typed(source.title) : say('compare.studentPiece')}>
            <Nearer view={views[i]}>{sheet(i)}</Nearer>
          </ZoomBox>
          <MiniMap {...maps[i]} view={views[i]} room={[1, 1]} onView={change(i)} mapOnly />
        </div>
        <figcaption className="mt-1 truncate text-sm" title={caption}>
          {caption}
        </figcaption>
      </figure>
    );
    return (
      <div className="flex flex-1 items-center justify-center">
        <div
          className="flex w-full items-end justify-center"
          style={{ maxWidth: `calc((100cqh - 2.5rem) * ${all / high})`, gap: `${(1200 / all).toFixed(2)}%` }}
        >
          {side(0, sw, known ? say('compare.wide', { title: typed(source.title), width: amount(sw, 'mm') }) : say.typed(source.title))}
          {side(1, pw, say(known ? 'compare.pieceWide' : 'compare.pieceWideUnknown', { width: amount(pw, 'mm') }))}
        </div>
      </div>
    );
  }
  return (
    <div className="relative flex flex-1 items-center justify-center">
      <ZoomBox
        view={bounded(views[0])}
        onView={(view) => onViews([view, view])}
        label={say('compare.both', { title: typed(source.title) })}
        style={{ width: `min(100cqw, calc(100cqh * ${ratioS}))` }}
      >
        <Nearer view={bounded(views[0])}>
          {sheet(0)}
          <div
            className="absolute inset-0 flex items-center justify-center"
            style={{ opacity: way === 'overlay' ? mix / 100 : first ? 1 : 0 }}
          >
            <div style={{ width: `${100 * Math.min(1, ratioP / ratioS)}%` }}>{sheet(1)}</div>
          </div>
        </Nearer>
      </ZoomBox>
      <MiniMap {...maps[0]} view={bounded(views[0])} room={[1, 1]} onView={(view) => onViews([view, view])} mapOnly />
    </div>
  );
}

/** Both sheets whole. */
export const BOTH_WHOLE: [Nearness, Nearness] = [WHOLE, WHOLE];
