'use client';
import { amount, Message, Typed, typed } from '@/core/message';
import { placeLabels } from '@/core/proportion/labels';
import { placeOnSheet, transferPoint } from '@/core/proportion/transfer';
import { Paper, Sheet, SHEET_MARGIN, Squares } from '../shared/paper/Paper';
import { wholePicture } from '../shared/reading/client';
import { useSay } from '../words/Words';

interface Props {
  study: string;
  work: string;
  pictureId: string;
  date: string;
  source: [number, number];
  paper: [number, number];
  columns: number;
  points: { name: string; said: Message | Typed; at: [number, number] }[];
}

/** Height of a number on paper, mm, and the room it is given. */
const NUMBER = 2.7;
const LABEL = [4.2, 3.1] as const;
/** Width of the table of points, and height of one of its rows, mm. */
const [TABLE, ROW] = [150, 5.2];

/** Two printed sheets: the grid for the class's paper with the landmarks on it at true scale, and the source with the same numbers and every point in mm from the edges. */
export function GridSheet({ study, work, pictureId, date, source, paper, columns, points }: Props) {
  const say = useSay();
  const placing = placeOnSheet(source, paper, 'fit', SHEET_MARGIN);
  const side = placing.width / columns;
  const placed = points.map((p) => ({ ...p, t: transferPoint(placing, [p.at[0] / source[0], p.at[1] / source[1]], columns) }));
  const mm = (v: number) => say.amount(v, 'mm');
  const title = say('proportion.sheet.name', { work: typed(work) });
  const about = say('proportion.sheet.about', { study: typed(study), date: typed(say.day(date)), side: amount(side, 'mm') });
  const [wide, high] = [paper[0] - 2 * SHEET_MARGIN, paper[1] - 2 * SHEET_MARGIN - 4];
  // A short table lies under the picture, a long one beside it where the paper is broad.
  const rows = ROW * (placed.length + 1.5);
  const beside = paper[0] > paper[1] && rows > 0.4 * high;
  const room: [number, number] = beside ? [wide - TABLE - 6, high] : [wide, high - rows - 6];
  const shown = placeOnSheet(source, room, 'fit', 0.01);
  return (
    <Paper size={paper}>
      <Sheet size={paper} title={title} about={about} pictureId={pictureId} last={!placed.length}>
        <svg viewBox={`0 0 ${paper[0]} ${paper[1]}`} className="absolute inset-0 h-full w-full" role="img" aria-label={title}>
          <Squares {...placing} columns={columns} />
          <g stroke="#777" strokeWidth="0.15" strokeDasharray="2 2">
            <line x1={paper[0] / 2} x2={paper[0] / 2} y1={placing.top - 2} y2={placing.top + placing.height + 2} />
            <line y1={paper[1] / 2} y2={paper[1] / 2} x1={placing.left - 4} x2={placing.left + placing.width + 4} />
          </g>
          <Numbered at={placed.map(({ t }) => [t.left, t.top])} />
        </svg>
      </Sheet>
      {placed.length > 0 && (
        <Sheet size={paper} title={say('proportion.sheet.points')} about={`${title}. ${about}`} pictureId={pictureId} last>
          <div
            className={`absolute flex gap-[6mm] ${beside ? '' : 'flex-col items-start'}`}
            style={{ left: `${SHEET_MARGIN}mm`, right: `${SHEET_MARGIN}mm`, top: `${SHEET_MARGIN + 2}mm` }}
          >
            <div className="relative flex-none" style={{ width: `${shown.width}mm`, height: `${shown.height}mm` }}>
              <img
                src={wholePicture(pictureId)}
                alt={say.typed(work)}
                className="absolute inset-0 h-full w-full"
                style={{ opacity: 0.55 }}
              />
              <svg viewBox={`0 0 ${shown.width} ${shown.height}`} className="absolute inset-0 h-full w-full overflow-visible" aria-hidden>
                <Squares left={0} top={0} width={shown.width} height={shown.height} columns={columns} />
                <Numbered at={points.map((p) => [(p.at[0] / source[0]) * shown.width, (p.at[1] / source[1]) * shown.height])} />
              </svg>
            </div>
            <table className="h-fit border-collapse" style={{ width: `${TABLE}mm`, fontSize: '2.9mm' }}>
              <caption className="sr-only">{say('proportion.sheet.points')}</caption>
              <thead>
                <tr>
                  <th scope="col" />
                  {(['point', 'left', 'top', 'right', 'bottom', 'square', 'fold'] as const).map((h) => (
                    <th key={h} scope="col" className={`px-[1mm] align-bottom ${h === 'point' ? 'text-start' : 'text-end'}`}>
                      {say(`proportion.sheet.${h}`)}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {placed.map((p, i) => (
                  <tr key={p.name} className="border-t border-gray-300 [&>td]:px-[1mm] [&>td]:py-[0.5mm]">
                    <td className="text-end font-semibold">{i + 1}</td>
                    <td>{say(p.said)}</td>
                    {([p.t.left, p.t.top, p.t.right, p.t.bottom] as const).map((v, k) => (
                      <td key={k} className="text-end whitespace-nowrap">
                        {mm(v)}
                      </td>
                    ))}
                    <td className="text-end whitespace-nowrap">{say('proportion.sheet.squareAt', p.t.square)}</td>
                    <td className="text-end whitespace-nowrap">{say('proportion.sheet.foldAt', p.t.fold)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </Sheet>
      )}
    </Paper>
  );
}

/** Points as small crosses, each with its number where it lies on no other. */
function Numbered({ at }: { at: readonly (readonly [number, number])[] }) {
  const labels = placeLabels(at, LABEL);
  return (
    <g>
      {at.map(([x, y], i) => {
        const [lx, ly] = labels[i].at;
        return (
          <g key={i}>
            <path d={`M${x - 1.5} ${y}h3M${x} ${y - 1.5}v3`} stroke="#fff" strokeWidth="0.9" />
            <path d={`M${x - 1.5} ${y}h3M${x} ${y - 1.5}v3`} stroke="#000" strokeWidth="0.25" />
            {labels[i].led && <path d={`M${x} ${y}L${lx} ${ly}`} stroke="#000" strokeWidth="0.12" />}
            <text
              x={lx}
              y={ly + 0.35 * NUMBER}
              fontSize={NUMBER}
              textAnchor="middle"
              stroke="#fff"
              strokeWidth="0.7"
              strokeLinejoin="round"
              paintOrder="stroke"
            >
              {i + 1}
            </text>
          </g>
        );
      })}
    </g>
  );
}
