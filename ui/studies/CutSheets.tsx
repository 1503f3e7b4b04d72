'use client';
import { useMemo, useState } from 'react';
import { amount, message, typed } from '@/core/message';
import { cutFrom, parentsFor } from '@/core/lesson/cutting';
import { SERIES, Size, sizeNamed } from '@/core/lesson/sheets';
import { Field } from '../shared/Field';
import { SheetOptions } from './SheetOptions';
import { useSay } from '../words/Words';

interface Props {
  width: number;
  height: number;
  students: number;
  /** Papers of the cupboard whose size is known. */
  papers: readonly { name: string; size: Size }[];
}

const LEAST = 10;

/** How the class's sheets come out of a larger paper: the cuts drawn, how many papers, spares, what is left over. */
export function CutSheets({ width, height, students, papers }: Props) {
  const say = useSay();
  const fits = width >= LEAST && height >= LEAST;
  const parents = [
    ...papers,
    ...Object.values(SERIES).flatMap((s) => Object.entries(s).map(([name, size]): { name: string; size: Size } => ({ name, size }))),
  ];
  // To begin with the first paper that gives more than one.
  const [name, setName] = useState(() => parents.find((p) => fits && cutFrom(p.size, [width, height]).pieces.length > 1)?.name ?? 'A2');
  const parent = parents.find((p) => p.name === name)?.size ?? sizeNamed('A2')!;
  const plan = useMemo(() => (fits ? cutFrom([parent[1], parent[0]], [width, height]) : null), [fits, parent, width, height]);
  const buy = plan && parentsFor(students, plan.pieces.length);
  return (
    <div className="grid gap-2">
      <Field label={say('sheets.parent')}>
        <select className="select w-full" value={name} onChange={(e) => setName(e.target.value)}>
          {papers.length > 0 && (
            <optgroup label={say('sheets.fromCupboard')}>
              {papers.map((p) => (
                <option key={p.name} value={p.name}>
                  {say.typed(p.name)}
                </option>
              ))}
            </optgroup>
          )}
          <SheetOptions />
        </select>
      </Field>
      {plan && (
        <svg
          viewBox={`-4 -4 ${parent[1] + 8} ${parent[0] + 8}`}
          className="max-h-64 w-full bg-base-200 p-2"
          role="img"
          aria-label={say('sheets.drawing', { n: plan.pieces.length, paper: typed(name) })}
        >
          <rect width={parent[1]} height={parent[0]} fill="#ffffff" stroke="#333" strokeWidth={parent[1] / 300} />
          {plan.pieces.map(([x, y, w, h], i) => (
            <g key={i}>
              <rect x={x} y={y} width={w} height={h} fill="#dcdcdc" stroke="#333" strokeWidth={parent[1] / 400} />
              <text x={x + w / 2} y={y + h / 2} fontSize={Math.min(w, h) / 4} textAnchor="middle" dominantBaseline="central" fill="#222">
                {i + 1}
              </text>
            </g>
          ))}
          {plan.cuts.map(({ from, to }, i) => (
            <line
              key={i}
              x1={from[0]}
              y1={from[1]}
              x2={to[0]}
              y2={to[1]}
              stroke="#000"
              strokeWidth={parent[1] / 220}
              strokeDasharray={`${parent[1] / 60} ${parent[1] / 90}`}
            />
          ))}
        </svg>
      )}
      {plan && buy && (
        <p>
          {buy.parents === null
            ? say('sheets.tooLarge')
            : say('sheets.buy', {
                each: buy.each,
                cuts: plan.cuts.length,
                needed: buy.needed,
                spare: buy.spare,
                parents: buy.parents,
                waste: amount(plan.waste, 'share'),
                sheet: message('sheets.own', { width: amount(width, 'mm'), height: amount(height, 'mm') }),
              })}
        </p>
      )}
    </div>
  );
}
