'use client';
import { useMemo } from 'react';
import { amount, message, typed } from '@/core/message';
import { ruleSentence } from '@/core/style/words';
import { placeOnSheet } from '@/core/proportion/transfer';
import type { TemplateName } from '@/core/proportion/templates';
import { CheckBar } from '../shared/CheckBar';
import { PrintButton } from '../shared/PrintButton';
import type { MasterWork, Reference, Rule } from './reference';
import { ShownCanvas } from './ShownCanvas';
import { useGhost, useManner } from './useGhost';
import { useSay } from '../words/Words';

interface Props {
  study: string;
  date: string;
  reference: Reference;
  template: TemplateName;
  works: MasterWork[];
  rules: Rule[];
  paper: readonly [number, number];
}

const PRINT_SIDE = 1800;
const MARGIN = 12;
const COLUMNS = 8;

/** The ghost on the class's paper at true scale: pale, to draw over or beside, with the points and the rules. */
export function GhostSheet({ study, date, reference, template, works, rules, paper }: Props) {
  const say = useSay();
  const from = useMemo(() => reference.sets.find((s) => s.template === template)?.points ?? {}, [reference.sets, template]);
  const { bent } = useManner(template, works, from);
  const { ghost, points } = useGhost(reference, template, from, bent?.points ?? null, reference.strength, reference.parts, PRINT_SIDE);
  const [w, h] = [reference.pictureWidth, reference.pictureHeight];
  const placing = placeOnSheet([w, h], [paper[0], paper[1] - 8], 'fit', MARGIN);
  const side = placing.width / COLUMNS;
  const rows = Math.floor(placing.height / side + 1e-6);
  const mm = (p: readonly [number, number]): [number, number] => [
    placing.left + (p[0] / w) * placing.width,
    placing.top + (p[1] / h) * placing.height,
  ];
  return (
    <div dir="ltr" className="overflow-auto bg-base-200 p-5 print:bg-white print:p-0">
      <style>{`@page { size: ${paper[0]}mm ${paper[1]}mm; margin: 0 } @media print { header, nav { display: none } }`}</style>
      <PrintButton />
      {!bent && <p role="status">{say(Object.keys(from).length ? 'make.noMaster' : 'make.noPoints')}</p>}
      <div className="relative bg-white text-black" style={{ width: `${paper[0]}mm`, height: `${paper[1]}mm`, breakAfter: 'page' }}>
        <ShownCanvas
          picture={ghost}
          label={say('make.sheet.name', { title: typed(reference.title), share: amount(reference.strength, 'share') })}
          className="absolute"
          style={{
            left: `${placing.left}mm`,
            top: `${placing.top}mm`,
            width: `${placing.width}mm`,
            height: `${placing.height}mm`,
            filter: 'grayscale(1)',
            opacity: 0.42,
          }}
        />
        <svg viewBox={`0 0 ${paper[0]} ${paper[1]}`} className="absolute inset-0 h-full w-full" aria-hidden>
          <g stroke="#888" strokeWidth="0.15" fill="none">
            <rect x={placing.left} y={placing.top} width={placing.width} height={placing.height} />
            {Array.from({ length: COLUMNS - 1 }, (_, i) => (
              <path key={`c${i}`} d={`M${placing.left + (i + 1) * side} ${placing.top}v${placing.height}`} />
            ))}
            {Array.from({ length: rows }, (_, i) => (
              <path key={`r${i}`} d={`M${placing.left} ${placing.top + (i + 1) * side}h${placing.width}`} />
            ))}
          </g>
          {Object.entries(points).map(([name, p]) => {
            const [x, y] = mm(p);
            return <path key={name} d={`M${x - 1.5} ${y}h3M${x} ${y - 1.5}v3`} stroke="#000" strokeWidth="0.3" />;
          })}
        </svg>
        <p className="absolute text-[2.8mm]" style={{ left: `${MARGIN}mm`, top: '3mm' }}>
          {say('make.sheet.head', {
            study: typed(study),
            title: typed(reference.title),
            credited: reference.credit ? 'yes' : 'no',
            credit: typed(reference.credit),
            share: amount(reference.strength, 'share'),
            date: typed(say.day(date)),
            side: amount(side, 'mm'),
          })}
        </p>
        <div className="absolute" style={{ left: `${MARGIN}mm`, bottom: '2mm' }}>
          <CheckBar />
        </div>
      </div>
      {rules.length > 0 && (
        <section className="mt-4 max-w-3xl bg-white p-4 text-black print:m-[12mm] print:p-0">
          <h2 className="text-lg font-semibold">{say('make.checklist')}</h2>
          <ul>
            {rules.map((r) => (
              <li key={r.id}>{say('make.sheet.rule', { rule: message('rules.sentence', { kind: r.kind, sentence: ruleSentence(r) }) })}</li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
