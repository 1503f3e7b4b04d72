import type { Message } from '@/core/message';
import type { Landmarks } from '@/core/proportion/align';
import type { LandmarkSet } from '../proportion/useLandmarks';

/** A student's reference as the bench shows it. */
export interface Reference {
  id: string;
  title: string;
  credit: string;
  student: string | null;
  studentId: string | null;
  pictureId: string;
  pictureWidth: number;
  pictureHeight: number;
  strength: number;
  parts: Record<string, number>;
  version: number;
  done: string[];
  sets: LandmarkSet[];
}

/** A master's work with its placed points and what was measured on it. */
export interface MasterWork {
  id: string;
  title: string;
  pictureId: string;
  points: Record<string, Landmarks[]>;
  palette: { hex: string; share: number; accent: boolean }[];
}

/** A rule of the study, to tick off. */
export interface Rule {
  id: string;
  kind: 'feature' | 'always' | 'never';
  sentence: string;
  said: { sentence: Message; evidence: Message } | null;
}
