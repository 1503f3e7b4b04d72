/** Knows which rows are the landmarks of one thing: each hangs on it by a key of its own. */
import { eq, SQL } from 'drizzle-orm';
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
