'use client';
import { ReactNode } from 'react';
import { screenPicture } from '../reading/client';
import { CheckBar } from './CheckBar';
import { PrintButton } from './PrintButton';

type Size = readonly [widthMm: number, heightMm: number];

/** How a paper's foot is set: in the margin of a page the style sheet's own names are not known. */
const FOOT = { style: "font: 8pt 'Source Sans 3'; color: #555" };

/** What is printed, shown as it will lie on paper: black on white whatever the screen's theme, with a button to print it. */
export function Paper({ size, margin = 0, foot, children }: { size: Size | string; margin?: number; foot?: string; children: ReactNode }) {
  const of = typeof size === 'string' ? size : `${size[0]}mm ${size[1]}mm`;
  const boxes = foot
    ? `@bottom-left { content: ${JSON.stringify(foot)}; ${FOOT.style} } @bottom-right { content: counter(page) ' / ' counter(pages); ${FOOT.style} }`
    : '';
  return (
    <div
      dir="ltr"
      data-theme="oldhand-day"
      className="relative min-h-full overflow-auto bg-base-200 p-5 text-black print:overflow-visible print:bg-white print:p-0"
    >
      <style>{`@page { size: ${of}; margin: ${margin}mm; ${boxes} } @media print { header, nav { display: none } }`}</style>
      <PrintButton />
      {children}
    </div>
  );
}

/** From the edge of a sheet to what stands on it: room for its head above and its bar below, mm. */
export const SHEET_MARGIN = 15;

/** One sheet at true scale: its title and small picture above, the bar that shows the scale below. */
export function Sheet({
  size: [w, h],
  title,
  about,
  pictureId,
  last,
  children,
}: {
  size: Size;
  title: string;
  about: string;
  pictureId: string;
  /** Nothing follows it. */
  last?: boolean;
  children: ReactNode;
}) {
  return (
    <section
      className="relative mb-5 overflow-hidden bg-white print:m-0"
      style={{ width: `${w}mm`, height: `${h}mm`, breakAfter: last ? 'auto' : 'page' }}
    >
      {children}
      <div
        className="absolute flex items-center gap-[3mm]"
        style={{ left: `${SHEET_MARGIN}mm`, right: `${SHEET_MARGIN}mm`, top: '5mm', height: '8.5mm' }}
      >
        <img src={screenPicture(pictureId)} alt="" className="h-full w-auto" />
        <div className="min-w-0 leading-tight">
          <h1 className="truncate font-semibold" style={{ fontSize: '3.8mm' }}>
            {title}
          </h1>
          <p className="truncate" style={{ fontSize: '2.9mm' }}>
            {about}
          </p>
        </div>
      </div>
      <div className="absolute" style={{ left: `${SHEET_MARGIN}mm`, bottom: '5mm' }}>
        <CheckBar />
      </div>
    </section>
  );
}

/** The head of a paper that runs over several pages. */
export function PaperHead({ title, about, pictureId }: { title: string; about: string; pictureId: string | null }) {
  return (
    <div className="flex items-center gap-4">
      {pictureId && <img src={screenPicture(pictureId)} alt="" className="h-[22mm] w-auto" />}
      <div>
        <h1 className="text-2xl font-semibold">{title}</h1>
        <p>{about}</p>
      </div>
    </div>
  );
}

/** Squares over a picture placed on a sheet, in mm. */
export function Squares({
  left,
  top,
  width,
  height,
  columns,
}: {
  left: number;
  top: number;
  width: number;
  height: number;
  columns: number;
}) {
  const side = width / columns;
  const rows = Math.floor(height / side + 1e-6);
  return (
    <g stroke="#888" strokeWidth="0.15" fill="none">
      <rect x={left} y={top} width={width} height={height} strokeWidth="0.25" stroke="#555" />
      {Array.from({ length: columns - 1 }, (_, i) => (
        <path key={`c${i}`} d={`M${left + (i + 1) * side} ${top}v${height}`} />
      ))}
      {Array.from({ length: rows }, (_, i) => (
        <path key={`r${i}`} d={`M${left} ${top + (i + 1) * side}h${width}`} />
      ))}
    </g>
  );
}
