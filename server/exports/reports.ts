/** Knows the reports that are being made: begun by a page, counted while they go on whoever looks, and kept a while for whoever comes back. */
import type { Message } from '../../core/message';
import type { Voice } from '../../words/say';
import { sentence, UserError } from '../errors';
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
const keyOf = (teacherId: string, studyId: string, voice: Voice) => JSON.stringify([teacherId, studyId, voice]);

function begun(teacherId: string, studyId: string, voice: Voice): Kept {
  const key = keyOf(teacherId, studyId, voice);
  const making: Making = { ...NONE, state: 'making' };
  const report = studyReport(teacherId, studyId, voice, (now) => Object.assign(making, now));
  const entry: Kept = { making, report };
  kept().set(key, entry);
  void report
    .then(
      () => Object.assign(making, { state: 'made' }),
      (error: unknown) => Object.assign(making, { state: 'failed', problem: error instanceof UserError ? error.said : sentence('wrong') }),
    )
    .then(() => setTimeout(() => kept().get(key) === entry && kept().delete(key), KEPT_MS).unref());
  return entry;
}

/** Begins a report unless it is being made already; another one takes the place of one that is made. */
export function beginReport(teacherId: string, studyId: string, voice: Voice): Making {
  const there = kept().get(keyOf(teacherId, studyId, voice));
  return (there?.making.state === 'making' ? there : begun(teacherId, studyId, voice)).making;
}

/** How far a report is. */
export const reportMaking = (teacherId: string, studyId: string, voice: Voice): Making =>
  kept().get(keyOf(teacherId, studyId, voice))?.making ?? NONE;

/** The report that has been made or is being made; else it is made now. */
export function reportMade(teacherId: string, studyId: string, voice: Voice): Promise<Report> {
  const there = kept().get(keyOf(teacherId, studyId, voice));
  return (there && there.making.state !== 'failed' ? there : begun(teacherId, studyId, voice)).report;
}
