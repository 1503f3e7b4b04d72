import { Aim, ASKED } from '@/core/style/aim';
import { AgeBand, bandOf } from '@/core/proportion/bodyRulers';
import type { Allowed } from '@/core/proportion/check';
import type { Piece } from '@/ui/pieces/piece';
import type { PlacedSet } from '@/server/studies/landmarkRows';
import type { ReferenceView } from '@/server/studies/references';
import type { WorkView } from '@/server/studies/works';
import type { Source } from '@/ui/pieces/Checked';

/** An original may leave its reference as far as a manner asks; a copy is held as closely as the aim says. Common practice, no source. */
const FREE = 0.1;
/** Degrees that weigh as much as a part of the whole. */
const DEGREES = 50;

/** Young hands are held less tightly: common practice, no source. */
const BY_AGE: Readonly<Record<AgeBand, number>> = { under8: 2, under11: 1.5, under14: 1.2, older: 1 };

export function allowedFor({ kind }: Pick<Piece, 'kind'>, aim: Aim, youngest: number): Allowed {
  const part = ((kind === 'original' ? null : ASKED[aim].proportion) ?? FREE) * BY_AGE[bandOf(youngest)];
  return { part, degrees: DEGREES * part };
}

/** What a piece can be held against by points of a kind: a copy against works first, an original against the student's own references. */
export function sourcesOf(
  piece: Pick<Piece, 'kind' | 'studentId'>,
  template: string,
  works: readonly WorkView[],
  references: readonly ReferenceView[],
  sets: ReadonlyMap<string, PlacedSet[]>,
): Source[] {
  const from = (
    of: Source['said']['of'],
    id: string,
    title: string,
    size: readonly [number, number],
    list: readonly PlacedSet[],
  ): Source[] =>
    list.flatMap((s) =>
      s.template === template && Object.keys(s.points).length
        ? [{ key: `${id}:${s.name}`, id, said: { title, name: s.name, of }, size, points: s.points }]
        : [],
    );
  const ofWorks = works.filter((w) => !w.foil).flatMap((w) => from('work', w.id, w.title, [w.pictureWidth, w.pictureHeight], w.sets));
  const ofReferences = references
    .filter((r) => r.studentId === null || r.studentId === piece.studentId)
    .flatMap((r) => from('reference', r.id, r.title, [r.pictureWidth, r.pictureHeight], sets.get(r.id) ?? []));
  return piece.kind === 'original' ? [...ofReferences, ...ofWorks] : [...ofWorks, ...ofReferences];
}
