/** Knows which rows are the landmarks of one thing. */
import { and, eq, SQL } from 'drizzle-orm';
import { landmarkSets } from '../schema';

export type LandmarkSubject = 'work' | 'piece' | 'reference';

export const landmarksOn = (subject: LandmarkSubject, id: string): SQL =>
  and(eq(landmarkSets.subject, subject), eq(landmarkSets.subjectId, id))!;
