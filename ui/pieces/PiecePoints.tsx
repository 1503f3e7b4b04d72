'use client';
import Link from 'next/link';
import { measureProportions, MEASURE_WORDS } from '@/core/proportion/measures';
import type { TemplateName } from '@/core/proportion/templates';
import { PlacingPrompt, PlacingView, usePlacing } from '../proportion/placing';
import type { LandmarkSet } from '../proportion/useLandmarks';
import { Bench } from '../shared/Bench';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { TemplateChoice } from '../shared/TemplateChoice';
import type { Piece } from './piece';

interface Props {
  base: string;
  piece: Piece & { rectifiedId: string };
  size: { width: number; height: number };
  template: TemplateName;
  sets: LandmarkSet[];
}

/** The points of a piece, placed with the same tool as the master's; the comparison follows by itself. */
export function PiecePoints({ base, piece, size, template, sets }: Props) {
  const looking = useLooking();
  const placing = usePlacing('piece', piece.id, template, sets);
  const measures = measureProportions(template, placing.points).filter((m) => m.value !== null);
  const name = `${piece.student ?? 'You'}, ${piece.kind}, attempt ${piece.attempt}`;
  return (
    <Bench
      tools={<ToolRow {...looking} only={['mirror', 'flip', 'grid', 'quarters', 'lens']} />}
      picture={<PlacingView placing={placing} picture={{ id: piece.rectifiedId, ...size, alt: name }} on={looking.on} lens />}
      strip={
        <p className="flex gap-4 px-5 py-2">
          <Link className="link" href={`${base}?piece=${piece.id}`}>
            Back to its corners
          </Link>
          <Link className="link" href={base}>
            Back to the roster
          </Link>
        </p>
      }
    >
      <h2 className="text-lg font-semibold">{name}</h2>
      <TemplateChoice current={template} href={(t) => `${base}?piece=${piece.id}&points=${t}`} />
      <PlacingPrompt placing={placing} />
      <Notice message={placing.problem} />
      {measures.length > 0 && (
        <ul className="mt-3 grid gap-1 text-sm">
          {measures.map((m) => (
            <li key={m.name}>
              {MEASURE_WORDS[m.name]}: {m.value!.toFixed(m.unit === 'degrees' ? 1 : 2)}
              {m.unit === 'degrees' ? '°' : ''}
            </li>
          ))}
        </ul>
      )}
    </Bench>
  );
}
