/** What a report says, as plain data: gathered from the database, drawn in a worker thread. */
import type { Plan } from '../../core/lesson/plan';

interface ReportPicture {
  /** A JPEG. */
  bytes: Uint8Array;
  width: number;
  height: number;
}

export interface ReportStudent {
  name: string;
  kind: string;
  attempt: number;
  title: string;
  piece: ReportPicture;
  source: ReportPicture;
  sourceTitle: string;
  closeness: number;
  ownInvention: number;
  /** What works, said first; with the findings at least three sentences in all. */
  works: string[];
  findings: { words: string; next: string; note: string }[];
  rules: { sentence: string; state: 'kept' | 'missed' | 'not seen' }[];
  /** Closeness of each attempt of the same kind, in order. */
  course: { attempt: number; closeness: number }[];
}

export interface ReportDocument {
  title: string;
  master: string;
  about: string;
  className: string | null;
  date: string;
  paper: 'A4' | 'LETTER';
  works: { picture: ReportPicture; title: string; told: string }[];
  rules: { kind: string; sentence: string; evidence: string }[];
  palette: { hex: string; name: string; share: number; told: string; recipe: { words: string; hex: string } | null }[];
  paletteFrom: string | null;
  kit: string | null;
  plan: (Plan & { told: string }) | null;
  students: ReportStudent[];
  /** Students whose pieces have not been measured yet, or who have handed in nothing. */
  without: string[];
}
