/** What a report says, as plain data: gathered from the database, put into words and drawn in a worker thread. */
import type { Plan } from '../../core/lesson/plan';
import type { Message, Typed } from '../../core/message';
import type { Voice } from '../../words/say';

/** How many pages stand, and how much of all that goes on them does. */
export interface ReportProgress {
  pages: number;
  done: number;
  all: number;
}

export interface ReportPicture {
  /** A JPEG. */
  bytes: Uint8Array;
  width: number;
  height: number;
}

interface ReportRule {
  kind: 'feature' | 'always' | 'never';
  sentence: Message | Typed;
  evidence: Message | Typed;
}

export interface ReportStudent {
  /** Null where one person studies alone. */
  name: string | null;
  kind: 'original' | 'copy' | 'warm-up';
  attempt: number;
  title: string;
  piece: ReportPicture;
  source: ReportPicture;
  sourceTitle: string;
  closeness: number;
  /** Null where all pieces follow one exemplar. */
  ownInvention: number | null;
  /** What works, said first; with the findings at least three sentences in all. */
  works: Message[];
  findings: { said: Message; next: Message | null; note: string }[];
  rules: { rule: ReportRule; kept: boolean | null }[];
  /** Closeness of each attempt of the same kind, in order. */
  course: { attempt: number; closeness: number }[];
}

export interface ReportRecipe {
  parts: { paint: string; parts: number }[];
  miss: Message;
  hex: string;
}

export interface ReportDocument {
  voice: Voice;
  title: string;
  master: string;
  about: string;
  className: string | null;
  date: string;
  paper: 'A4' | 'LETTER';
  works: { picture: ReportPicture; title: string; dated: string; sizeMm: [number, number] | null }[];
  rules: ReportRule[];
  palette: {
    hex: string;
    name: Message;
    share: number;
    as: 'ground' | 'accent' | 'colour';
    recipe: ReportRecipe | null;
  }[];
  paletteFrom: string | null;
  kit: string | null;
  plan: Plan | null;
  /** What the plan was made for. */
  lesson: { minutes: number; students: number; ink: 'waterproof' | 'washable' };
  students: ReportStudent[];
  /** Students whose pieces have not been measured yet, or who have handed in nothing. */
  without: (string | null)[];
}
