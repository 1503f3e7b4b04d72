'use client';
import { typed } from '@/core/message';
import { marksOn, NEUTRAL, RING_INSIDE, SwatchSheet } from '@/core/capture/swatchSheet';
import { CheckBar } from '../shared/paper/CheckBar';
import { Paper } from '../shared/paper/Paper';
import { useSay } from '../words/Words';

interface Props {
  kit: string;
  white: string | null;
  /** Names of the kit's materials, as the boxes count them. */
  names: string[];
  sheet: SwatchSheet;
  date: string;
}

/** The sheet to paint swatches on, at true scale: corner marks, a place for a grey card, and a named box for every colour and its tints. */
export function SwatchPaper({ kit, white, names, sheet: { paper, pages }, date }: Props) {
  const say = useSay();
  const [w, h] = paper;
  const [nx, ny, nw, nh] = NEUTRAL;
  return (
    <Paper size={paper}>
      {pages.length === 0 && <p>{say('swatches.nothing')}</p>}
      {pages.map((page, p) => (
        <section
          key={p}
          data-swatches={p + 1}
          className="relative mb-5 overflow-hidden bg-white print:m-0"
          style={{ width: `${w}mm`, height: `${h}mm`, breakAfter: p + 1 < pages.length ? 'page' : 'auto' }}
        >
          <svg viewBox={`0 0 ${w} ${h}`} className="absolute inset-0 h-full w-full" fontFamily="'Source Sans 3'">
            {marksOn(paper).map(([x, y, m], i) => (
              <g key={i}>
                <rect x={x} y={y} width={m} height={m} fill="#000" />
                {i === 0 && (
                  <rect
                    x={x + ((1 - RING_INSIDE) / 2) * m}
                    y={y + ((1 - RING_INSIDE) / 2) * m}
                    width={RING_INSIDE * m}
                    height={RING_INSIDE * m}
                    fill="#fff"
                  />
                )}
              </g>
            ))}
            <text x={nx} y={14.6} fontSize="4.4" fontWeight="600">
              {say('swatches.head', { kit: typed(kit), page: p + 1, pages: pages.length })}
            </text>
            <rect x={nx} y={ny} width={nw} height={nh} fill="none" stroke="#999" strokeWidth="0.2" strokeDasharray="1.5 1" />
            <text x={nx + nw + 4} y={ny + 3.6} fontSize="3">
              {say('swatches.card')}
            </text>
            <text x={nx + nw + 4} y={ny + 7.6} fontSize="3">
              {say(white === null ? 'swatches.howWater' : 'swatches.howWhite', { white: typed(white ?? '') })}
            </text>
            <text x={nx + nw + 4} y={ny + 11.4} fontSize="3" fill="#555">
              {say.typed(say.day(date))}
            </text>
            {page.names.map(({ material, at: [x, y] }) => (
              <text key={material} x={x} y={y} fontSize="3.1">
                {say.typed(names[material])}
              </text>
            ))}
            {page.boxes.map(({ at: [x, y, bw, bh], parts, material }, i) => (
              <g key={i} data-box={`${names[material]} ${parts?.join(':') ?? ''}`.trim()}>
                <rect x={x} y={y} width={bw} height={bh} fill="none" stroke="#aaa" strokeWidth="0.15" />
                <text x={x + bw / 2} y={y + bh + 3} fontSize="2.4" textAnchor="middle" fill="#555">
                  {parts ? say('swatches.parts', { paint: parts[0], other: parts[1] }) : say('swatches.pure')}
                </text>
              </g>
            ))}
          </svg>
          <div className="absolute" style={{ left: '20mm', bottom: '7mm' }}>
            <CheckBar />
          </div>
        </section>
      ))}
    </Paper>
  );
}
