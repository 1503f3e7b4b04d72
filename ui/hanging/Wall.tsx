'use client';
import { Chart as ChartJS, ChartOptions, LinearScale, PointElement, Tooltip } from 'chart.js';
import { useEffect, useMemo, useState } from 'react';
import { Scatter } from 'react-chartjs-2';
import { figure } from '@/core/message';
import { pieceName } from '../pieces/piece';
import type { Hung } from './hung';
import { useSay } from '../words/Words';

ChartJS.register(LinearScale, PointElement, Tooltip);

/** Long side of a thumbnail, px: smaller where many hang. */
const thumbSide = (count: number) => (count > 16 ? 50 : 64);
const LABEL = 14;

/** Thumbnails in a thin frame with their name, decoded once and kept by picture. */
function useThumbs(pieces: readonly Hung[], lit: string | null, you: string): Map<string, HTMLCanvasElement> {
  const [images, setImages] = useState<ReadonlyMap<string, HTMLImageElement>>(new Map());
  const wanted = pieces.map((p) => p.pictureId).join(' ');
  useEffect(() => {
    let gone = false;
    const ids = wanted.split(' ').filter(Boolean);
    void Promise.all(
      ids.map(
        (id) =>
          new Promise<[string, HTMLImageElement] | null>((done) => {
            const image = new Image();
            image.onload = () => done([id, image]);
            image.onerror = () => done(null);
            image.src = `/api/pictures/${id}?size=small`;
          }),
      ),
    ).then((all) => !gone && setImages(new Map(all.filter((e): e is [string, HTMLImageElement] => e !== null))));
    return () => {
      gone = true;
    };
  }, [wanted]);
  return useMemo(() => {
    const out = new Map<string, HTMLCanvasElement>();
    for (const p of pieces) {
      const image = images.get(p.pictureId);
      if (!image) continue;
      const side = thumbSide(pieces.length);
      const long = p.id === lit ? 2 * side : side;
      const scale = long / Math.max(image.width, image.height);
      const [w, h] = [Math.round(image.width * scale), Math.round(image.height * scale)];
      const edge = p.id === lit ? 3 : 1;
      const canvas = document.createElement('canvas');
      canvas.width = w + 2 * edge;
      canvas.height = h + 2 * edge + LABEL;
      const c = canvas.getContext('2d')!;
      c.fillStyle = '#ffffff';
      c.fillRect(0, 0, canvas.width, h + 2 * edge);
      c.drawImage(image, edge, edge, w, h);
      c.fillStyle = '#333333';
      c.fillRect(0, h + 2 * edge, canvas.width, LABEL);
      c.fillStyle = '#ffffff';
      c.font = `${LABEL - 3}px "Source Sans 3", sans-serif`;
      c.textAlign = 'center';
      c.fillText(p.name ?? you, canvas.width / 2, canvas.height - 4, canvas.width - 2);
      out.set(p.id, canvas);
    }
    return out;
  }, [images, pieces, lit, you]);
}

interface Props {
  pieces: Hung[];
  lit: string | null;
  onLight: (id: string | null) => void;
  onOpen: (id: string) => void;
}

/** Ends of an axis: everything on it with room for half a thumbnail beyond, which is larger against the shorter, upward axis. */
const bounds = (values: number[], share: number) => {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const room = Math.max(3, share * (high - low));
  return { min: Math.floor((low - room) / 2) * 2, max: Math.ceil((high + room) / 2) * 2 };
};

/** Closeness to the right, own invention upward; each piece hangs where it stands. The list beside says the same in figures. */
export function Wall({ pieces, lit, onLight, onOpen }: Props) {
  const say = useSay();
  const drawn = useMemo(() => pieces.slice().sort((a, b) => Number(a.id === lit) - Number(b.id === lit)), [pieces, lit]);
  const thumbs = useThumbs(drawn, lit, say('app.you'));
  const options = useMemo<ChartOptions<'scatter'>>(() => {
    const ink = '#ffffff';
    const axis = (title: string, values: number[], share: number) => ({
      ...bounds(values.length ? values : [0, 100], share),
      title: { display: true, text: title, color: ink, font: { size: 14 } },
      ticks: { color: ink, precision: 0, callback: (v: string | number) => (Number(v) < 0 || Number(v) > 100 ? '' : v) },
      grid: { color: 'rgba(255,255,255,0.18)' },
      border: { color: ink },
    });
    return {
      animation: false,
      maintainAspectRatio: false,
      layout: { padding: 8 },
      scales: {
        x: axis(
          say('hanging.across'),
          pieces.map((p) => p.closeness),
          0.06,
        ),
        y: axis(
          say('hanging.up'),
          pieces.map((p) => p.ownInvention),
          0.12,
        ),
      },
      plugins: {
        legend: { display: false },
        tooltip: { displayColors: false, callbacks: { label: (item) => (item.raw as { label: string }).label } },
      },
      onClick: (_e, found) => found.length && onOpen(drawn[found.at(-1)!.index].id),
      onHover: (e, found) => {
        const target = e.native?.target as HTMLElement | undefined;
        if (target) target.style.cursor = found.length ? 'pointer' : '';
        onLight(found.length ? drawn[found.at(-1)!.index].id : null);
      },
    };
  }, [pieces, drawn, onLight, onOpen, say]);
  return (
    <div className="relative h-full w-full">
      <Scatter
        aria-label={say('hanging.label', { n: pieces.length })}
        role="img"
        options={options}
        data={{
          datasets: [
            {
              data: drawn.map((p) => ({
                x: p.closeness,
                y: p.ownInvention,
                label: say('hanging.hung', {
                  piece: pieceName({ ...p, student: p.name }),
                  closeness: figure(p.closeness),
                  own: figure(p.ownInvention),
                }),
              })),
              pointStyle: drawn.map((p) => thumbs.get(p.id) ?? 'rect'),
              pointRadius: 5,
              pointHitRadius: thumbSide(pieces.length) / 2.4,
              backgroundColor: '#ffffff',
            },
          ],
        }}
      />
    </div>
  );
}
