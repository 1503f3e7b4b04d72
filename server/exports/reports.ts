/** Knows the reports that are being made: begun by a page, counted while they go on whoever looks, and kept a while for whoever comes back. */
import type { Message } from '../../core/message';
import type { Voice } from '../../words/say';
import { UserError } from '../errors';
import { sentence } from '../errors';
import { studyReport } from './report';

type Report = Awaited<ReturnType<typeof studyReport>>;

export interface Making {
  state: 'none' | 'making' | 'made' | 'failed';
  /** Pages that stand, and of all that there is to put on them, how much does. */
  pages: number;
  done: number;
  all: number;
  problem: Message | null;
}

interface Kept {
  making: Making;
  report: Promise<Report>;
}

const NONE: Making = { state: 'none', pages: 0, done: 0, all: 0, problem: null };
/** How long a report that is made is kept, ms: long enough to open it, short enough not to be an old one. */
const KEPT_MS = 2 * 60_000;

const holder = globalThis as { __oldhandReports?: Map<string, Kept> };
const kept = (): Map<string, Kept> => (holder.__oldhandReports ??= new Map());
const keyOf = (teacherId: string, studyId: string, { language, spelling, units }: Voice) =>
  [teacherId, studyId, language, spelling, units].join(' ');

/** Begins a report unless it is being made already; another one takes the place of one that is made. */
export function beginReport(teacherId: string, studyId: string, voice: Voice): Making {
  const key = keyOf(teacherId, studyId, voice);
  const there = kept().get(key);
  if (there?.making.state === 'making') return there.making;
  const making: Making = { ...NONE, state: 'making' };
  const report = studyReport(teacherId, studyId, voice, (now) => Object.assign(making, now));
  const entry: Kept = { making, report };
  kept().set(key, entry);
  const forget = () => {
    setTimeout(() => kept().get(key) === entry && kept().delete(key), KEPT_MS).unref();
  };
  report.then(
    () => {
      making.state = 'made';
      forget();
    },
    (error: unknown) => {
      making.state = 'failed';
      making.problem = error instanceof UserError ? error.said : sentence('wrong');
      forget();
    },
  );
  return making;
}

/** How far a report is. */
export const reportMaking = (teacherId: string, studyId: string, voice: Voice): Making =>
  kept().get(keyOf(teacherId, studyId, voice))?.making ?? NONE;

/** The report that has been made or is being made; else it is made now. */
export async function reportMade(teacherId: string, studyId: string, voice: Voice): Promise<Report> {
  const key = keyOf(teacherId, studyId, voice);
  if (!kept().get(key) || kept().get(key)!.making.state === 'failed') beginReport(teacherId, studyId, voice);
  return kept().get(key)!.report;
}
