'use client';
import { Ink, PaperMark, PaperSheet } from '@/core/proportion/paper';
import { hexFromLab } from '@/core/colour/lab';
import { useSay } from '../../words/Words';

const INKS: Readonly<Record<Ink, string>> = { strong: '#000', plain: '#4d4d4d', pale: '#a6a6a6' };

interface Pictures {
  /** The file, and where the picture proper lies in it, px. */
  source: { url: string; width: number; height: number; frame: readonly [number, number, number, number] };
  lines: string | null;
}

/** Letters of the sheets' type are about so wide, of their height. */
const LETTER = 0.5;

function broken(text: string, size: number, width: number | undefined): string[] {
  if (width === undefined) return [text];
  const most = Math.max(4, Math.floor(width / (size * LETTER)));
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length < most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

/** A sheet as it will be printed, small. */
export function PaperPreview({ sheet, pictures, label }: { sheet: PaperSheet; pictures?: Pictures; label: string }) {
  const say = useSay();
  const [w, h] = sheet.size;
  const mark = (m: PaperMark, i: number) => {
    if (m.kind === 'line')
      return (
        <path
          key={i}
          d={m.points.map(([x, y], k) => `${k ? 'L' : 'M'}${x} ${y}`).join('') + (m.closed ? 'Z' : '')}
          fill={m.fill === undefined ? 'none' : hexFromLab([m.fill, 0, 0])}
          stroke={INKS[m.ink]}
          strokeWidth={m.width}
          strokeDasharray={m.dash ? `${m.dash} ${0.7 * m.dash}` : undefined}
        />
      );
    if (m.kind === 'text')
      return (
        <text key={i} fontSize={m.size} fill={INKS[m.ink ?? 'strong']} textAnchor={m.anchor ?? 'start'} fontWeight={m.strong ? 600 : 400}>
          {broken(say(m.said), m.size, m.width).map((line, k) => (
            <tspan key={k} x={m.at[0]} y={m.at[1] + 0.35 * m.size + k * 1.2 * m.size}>
              {line}
            </tspan>
          ))}
        </text>
      );
    if (!pictures) return null;
    const [x, y, bw, bh] = m.box;
    if (m.of === 'lines')
      return pictures.lines ? <image key={i} href={pictures.lines} x={x} y={y} width={bw} height={bh} preserveAspectRatio="none" /> : null;
    const { url, width, height, frame } = pictures.source;
    return (
      <svg key={i} x={x} y={y} width={bw} height={bh} viewBox={frame.join(' ')} preserveAspectRatio="none" opacity={m.pale ? 0.42 : 1}>
        <image href={url} width={width} height={height} />
      </svg>
    );
  };
  return (
    <svg viewBox={`0 0 ${w} ${h}`} className="h-full w-full" role="img" aria-label={label} style={{ maxHeight: '100%', direction: 'ltr' }}>
      <rect width={w} height={h} fill="#fff" />
      {sheet.marks.map(mark)}
    </svg>
  );
}
