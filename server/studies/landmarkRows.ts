/** Knows which rows are the landmarks of one thing: each hangs on it by a key of its own. */
import { AnyColumn, eq, SQL, sql } from 'drizzle-orm';
import { landmarkSets } from '../schema';

export type LandmarkSubject = 'work' | 'piece' | 'reference';

const COLUMNS = {
  work: landmarkSets.workId,
  piece: landmarkSets.pieceId,
  reference: landmarkSets.referenceId,
} as const;

export const landmarksOn = (subject: LandmarkSubject, id: string): SQL => eq(COLUMNS[subject], id);

/** The key of a new row. */
export const landmarkKey = (subject: LandmarkSubject, id: string) => ({
  workId: subject === 'work' ? id : null,
  pieceId: subject === 'piece' ? id : null,
  referenceId: subject === 'reference' ? id : null,
});

/** A set of points as it is shown. */
export interface PlacedSet {
  template: string;
  name: string;
  points: Record<string, [number, number]>;
  hidden: string[] | null;
  again: Record<string, [number, number]> | null;
  version: number;
}

/** The sets placed on the thing of a row, as one value of it: so a page of many things asks but once. */
export const setsOn = (owner: AnyColumn, id: AnyColumn) => sql<string | PlacedSet[] | null>`(
  select json_arrayagg(json_object('template', ${landmarkSets.template}, 'name', ${landmarkSets.name}, 'hidden', json_extract(${landmarkSets.hidden}, '$'), 'points', json_extract(${landmarkSets.points}, '$'), 'again', json_extract(${landmarkSets.again}, '$'), 'version', ${landmarkSets.version}) order by ${landmarkSets.name})
  from ${landmarkSets} where ${owner} = ${id})`;

/** Such a value as a list; some servers say that a text is JSON, and then it comes parsed. */
export const listed = <T>(list: string | T[] | null): T[] => (typeof list === 'string' ? (JSON.parse(list) as T[]) : (list ?? []));
