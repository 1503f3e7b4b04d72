'use client';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { message } from '@/core/message';
import { Allowed, carriedInto, checkAgainst, registeredInto } from '@/core/proportion/check';
import { templateToOpen } from '@/core/proportion/templates';
import { readAll } from '@/core/proportion/measures';
import { PlacingPrompt, PlacingView, usePlacing } from '../proportion/placing';
import { SetChoice } from '../proportion/SetChoice';
import type { LandmarkSet } from '../proportion/useLandmarks';
import { Bench } from '../shared/Bench';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { houseKind, kindOf, OwnKept } from '../shared/kinds';
import { TemplateChoice } from '../shared/TemplateChoice';
import { Arrows, Checked, Source } from './Checked';
import { pieceTitle, type Piece } from './piece';
import { get } from '../shared/request';
import { Followed } from './Followed';
import { useSay } from '../words/Words';

interface Props {
  base: string;
  piece: Piece & { rectifiedId: string };
  size: { width: number; height: number };
  /** Template of the points; one of the house, or a teacher's own. */
  points: string;
  own: OwnKept[];
  /** Which of several figures; empty for the only one. */
  set: string;
  sets: LandmarkSet[];
  /** What it can be held against, likeliest first. */
  sources: Source[];
  /** What may be off before it is told. */
  allowed: Allowed;
}

/** The points of a piece, placed with the same tool as the master's; the comparison follows by itself. */
export function PiecePoints({ base, piece, size, points, own, set, sets, sources, allowed }: Props) {
  const say = useSay();
  const looking = useLooking();
  const kind = useMemo(() => kindOf(points, own) ?? houseKind(templateToOpen()), [points, own]);
  const placing = usePlacing({ subject: 'piece', id: piece.id, kind, sets, name: set });
  const measures = readAll(kind.template, placing.points, [0, 0, size.width, size.height]).filter((m) => m.value !== null);
  const name = say(pieceTitle(piece));
  const perMm = piece.sized ? size.width / piece.paperWidthMm : null;
  const checks = useMemo(
    () => sources.map((source) => ({ source, check: checkAgainst(kind.template, source.points, placing.points, allowed) })),
    [sources, kind, placing.points, allowed],
  );
  // Until one is chosen, the one that the piece's points lie nearest to.
  const [chosen, setChosen] = useState<string | null>(null);
  const nearest = checks.reduce<(typeof checks)[number] | null>(
    (best, c) => (c.check && (!best?.check || c.check.laid.rms / c.check.extent < best.check.laid.rms / best.check.extent) ? c : best),
    checks[0] ?? null,
  );
  const held = checks.find((c) => c.source.key === chosen) ?? nearest;
  const bare = Object.keys(placing.points).length === 0;
  return (
    <Bench
      tools={<ToolRow {...looking} only={['mirror', 'flip', 'grid', 'quarters', 'lens']} />}
      picture={
        <PlacingView
          placing={placing}
          picture={{ id: piece.rectifiedId, ...size, alt: name }}
          on={looking.on}
          lens
          over={held?.check ? (unit) => <Arrows check={held.check!} unit={unit} /> : undefined}
        />
      }
      strip={
        <p className="flex gap-4 px-5 py-2">
          <Link className="link" href={`${base}?piece=${piece.id}`}>
            {say('pieces.toCorners')}
          </Link>
          <Link className="link" href={base}>
            {say('pieces.toRoster')}
          </Link>
        </p>
      }
    >
      <h2 className="text-lg font-semibold">{name}</h2>
      <TemplateChoice
        current={kind}
        href={(t) => `${base}?piece=${piece.id}&points=${t}`}
        placed={new Set(sets.map((s) => s.template))}
        open={false}
        own={own}
      />
      <SetChoice
        placing={placing}
        href={(name) => `${base}?${new URLSearchParams({ piece: piece.id, points: kind.key, ...(name && { set: name }) })}`}
      />
      <PlacingPrompt placing={placing} turnedHref={`${base}?piece=${piece.id}&points=face-three-quarter`} />
      <Notice said={placing.problem} />
      <Checked
        kind={kind}
        sources={sources}
        current={held?.source ?? null}
        onSource={setChosen}
        check={held?.check ?? null}
        perMm={perMm}
        allowed={allowed}
        onCarry={
          held && bare
            ? async () => {
                // The pictures laid over each other where they show the same thing, else the one's frame into the other's.
                const { laid } =
                  held.source.said.of === 'work'
                    ? await get<{ laid: [number, number][] | null }>(`/api/pieces/${piece.id}/registered?work=${held.source.id}`).catch(
                        () => ({ laid: null }),
                      )
                    : { laid: null };
                placing.move(
                  laid
                    ? registeredInto(held.source.points, laid)
                    : carriedInto(held.source.points, held.source.size, [size.width, size.height]),
                );
                placing.save(message('edits.points'));
              }
            : null
        }
      />
      {piece.kind === 'original' && kind.house && held?.check && held.source.said.of === 'reference' && (
        <Followed template={kind.house} reference={held.source.points} drawing={placing.points} sources={sources} />
      )}
      {measures.length > 0 && (
        <ul className="mt-3 grid gap-1 text-sm">
          {measures.map((m) => (
            <li key={m.name}>
              {say('pieces.measure', { measure: kind.measureSaid(m.name), value: kind.value({ ...m, value: m.value! }) })}
            </li>
          ))}
        </ul>
      )}
    </Bench>
  );
}
