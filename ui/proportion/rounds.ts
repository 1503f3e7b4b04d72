/** A round of a drill as the benches show it. */
import type { Drill, DrillAnswer } from '@/core/proportion/drills';

export type Who = 'oneself' | 'class' | 'student';

export interface Round {
  id: string;
  studentId: string | null;
  who: Who;
  drill: Drill;
  answers: DrillAnswer[];
  at: string;
}
