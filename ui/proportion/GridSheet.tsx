'use client';
import { amount, Message, typed } from '@/core/message';
import { placeOnSheet, transferPoint } from '@/core/proportion/transfer';
import { PrintButton } from '../shared/PrintButton';
import { useSay } from '../words/Words';

interface Props {
  study: string;
  work: string;
  date: string;
  source: [number, number];
  paper: [number, number];
  columns: number;
  points: { name: string; said: Message; at: [number, number] }[];
}

/** A printed sheet at true scale: the grid for the class's paper, the landmarks on it, and every point in mm from the edges. */
export function GridSheet({ study, work, date, source, paper, columns, points }: Props) {
  const say = useSay();
  const placing = placeOnSheet(source, paper, 'fit', 12);
  const side = placing.width / columns;
  const rows = Math.floor(placing.height / side + 1e-6);
  const placed = points.map((p) => ({
    ...p,
    t: transferPoint(placing, [p.at[0] / source[0], p.at[1] / source[1]], columns),
  }));
  const mm = (v: number) => say.amount(v, 'mm');
  return (
    <div dir="ltr" className="overflow-auto bg-base-200 p-5 print:bg-white print:p-0">
      <style>{`@page { size: ${paper[0]}mm ${paper[1]}mm; margin: 0 } @media print { header, nav { display: none } }`}</style>
      <PrintButton />
      <svg
        xmlns="http://www.w3.org/2000/svg"
        width={`${paper[0]}mm`}
        height={`${paper[1]}mm`}
        viewBox={`0 0 ${paper[0]} ${paper[1]}`}
        className="bg-white text-black"
        role="img"
        aria-label={say('proportion.sheet.name', { work: typed(work) })}
        style={{ breakAfter: 'page' }}
      >
        <rect x={placing.left} y={placing.top} width={placing.width} height={placing.height} fill="none" stroke="#555" strokeWidth="0.25" />
        {Array.from({ length: columns - 1 }, (_, i) => (
          <line
            key={i}
            x1={placing.left + (i + 1) * side}
            x2={placing.left + (i + 1) * side}
            y1={placing.top}
            y2={placing.top + placing.height}
            stroke="#999"
            strokeWidth="0.15"
          />
        ))}
        {Array.from({ length: rows }, (_, i) => (
          <line
            key={i}
            y1={placing.top + (i + 1) * side}
            y2={placing.top + (i + 1) * side}
            x1={placing.left}
            x2={placing.left + placing.width}
            stroke="#999"
            strokeWidth="0.15"
          />
        ))}
        <line x1={paper[0] / 2} x2={paper[0] / 2} y1="2" y2={paper[1] - 2} stroke="#777" strokeWidth="0.15" strokeDasharray="2 2" />
        <line y1={paper[1] / 2} y2={paper[1] / 2} x1="2" x2={paper[0] - 2} stroke="#777" strokeWidth="0.15" strokeDasharray="2 2" />
        {placed.map((p) => (
          <g key={p.name}>
            <path d={`M${p.t.left - 1.5} ${p.t.top}h3M${p.t.left} ${p.t.top - 1.5}v3`} stroke="#000" strokeWidth="0.25" />
            <text x={p.t.left + 1.8} y={p.t.top - 0.8} fontSize="2.6">
              {placed.indexOf(p) + 1}
            </text>
          </g>
        ))}
        <g transform={`translate(12 ${paper[1] - 4})`}>
          <path d="M0 -2v2h100v-2" fill="none" stroke="#000" strokeWidth="0.25" />
          <text x="102" y="0" fontSize="2.8">
            {say('proportion.sheet.foot', { study: typed(study), work: typed(work), date: typed(say.day(date)), side: amount(side, 'mm') })}
          </text>
        </g>
      </svg>
      {placed.length > 0 && (
        <table className="mt-4 max-w-3xl bg-white text-sm text-black print:m-[12mm]">
          <caption className="text-start text-lg font-semibold">{say('proportion.sheet.points')}</caption>
          <thead>
            <tr className="text-start">
              <th scope="col" />
              {(['point', 'left', 'top', 'right', 'bottom', 'square', 'fold'] as const).map((h) => (
                <th key={h} scope="col" className="px-2">
                  {say(`proportion.sheet.${h}`)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {placed.map((p, i) => (
              <tr key={p.name} className="border-t border-gray-300">
                <td className="px-2">{i + 1}</td>
                <td className="px-2">{say(p.said)}</td>
                <td className="px-2 text-end">{mm(p.t.left)}</td>
                <td className="px-2 text-end">{mm(p.t.top)}</td>
                <td className="px-2 text-end">{mm(p.t.right)}</td>
                <td className="px-2 text-end">{mm(p.t.bottom)}</td>
                <td className="px-2">{say('proportion.sheet.squareAt', p.t.square)}</td>
                <td className="px-2">{say('proportion.sheet.foldAt', p.t.fold)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
