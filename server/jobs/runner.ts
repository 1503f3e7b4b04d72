/** Knows how a server works through the queue: a lane for each background thread and one more, leases renewed while jobs run. */
import { hostname } from 'node:os';
import { CoreError } from '../../core/errors';
import { changing, connectedFor, database } from '../database/connection';
import { sentence, UserError } from '../errors';
import { log } from '../log';
import { ensureProfile } from '../pictures/readings';
import { comparePiece, processPiece } from '../pieces/processing';
import { compareAgain } from '../queue/asking';
import { claim, finish, giveUp, handBack, Job, LEASE_MS, renew } from '../queue/queue';
import { sweep } from '../removal/sweep';
import { workOf } from '../accounts/ownership';
import { backgroundThreads } from '../threads/threads';
import { askForStale, askForWhatWaits } from './waiting';

async function carryOut(job: Job): Promise<void> {
  switch (job.kind) {
    case 'measure-work': {
      const work = await workOf(job.teacherId, job.workId!);
      await ensureProfile(job.teacherId, work);
      await changing((tx) => compareAgain(tx, job.teacherId, work.studyId));
      return;
    }
    case 'process-piece':
      return processPiece(job.teacherId, job.pieceId!);
    case 'compare-piece':
      return comparePiece(job.teacherId, job.pieceId!);
  }
}

/** What was told to a person will not get better by trying again. */
const isFinal = (error: unknown): error is UserError | CoreError =>
  (error instanceof UserError && error.status < 500) || error instanceof CoreError;

async function runOne(job: Job, owner: string): Promise<void> {
  const db = database();
  const beat = setInterval(
    () => void renew(db, job, owner).catch((error) => log.warn({ error, job: job.id }, 'lease not renewed')),
    LEASE_MS / 3,
  );
  try {
    await carryOut(job);
    await changing((tx) => finish(tx, job, owner));
  } catch (error) {
    log.warn({ err: error, job: job.id, kind: job.kind }, 'job failed');
    const said = isFinal(error) ? error.said : sentence('measuring');
    await changing((tx) => giveUp(tx, job, owner, said, isFinal(error)));
  } finally {
    clearInterval(beat);
  }
}

interface Running {
  stop: () => Promise<void>;
}

const holder = globalThis as { __oldhandRunner?: Running };
const MINUTE = 60_000;

/** Does something at once and then every so often, until it is stopped; what goes wrong is logged and tried next time. */
function everySoOften(ms: number, what: string, work: () => Promise<unknown>): () => void {
  const run = () => void connectedFor('background', work).catch((error) => log.error({ err: error }, `${what} did not succeed`));
  run();
  const timer = setInterval(run, ms);
  timer.unref();
  return () => clearInterval(timer);
}

/**
 * Starts the loop of this process; a second call changes nothing. While one job is at the database, which waits for pages, another has its thread:
 * so there is one more of them than threads.
 */
export function startRunner(parallel = backgroundThreads() + 1): void {
  if (holder.__oldhandRunner) return;
  const owner = `${hostname().slice(0, 30)}:${process.pid}:${Math.random().toString(36).slice(2, 8)}`;
  let stopped = false;
  const lane = async () => {
    let pause = 100;
    while (!stopped) {
      try {
        const job = await claim(database(), owner);
        if (job) {
          await runOne(job, owner);
          pause = 30;
          continue;
        }
        pause = Math.min(1000, pause * 1.5);
      } catch (error) {
        log.error({ err: error }, 'the queue cannot be reached');
        pause = 2000;
      }
      await new Promise((done) => setTimeout(done, pause));
    }
  };
  const ends = [
    everySoOften(MINUTE, 'asking for what waits', askForWhatWaits),
    everySoOften(60 * MINUTE, 'asking for old comparisons', askForStale),
    everySoOften(60 * MINUTE, 'sweeping what is over', sweep),
  ];
  holder.__oldhandRunner = {
    stop: async () => {
      stopped = true;
      for (const end of ends) end();
      await connectedFor('background', () => changing((tx) => handBack(tx, owner)));
    },
  };
  for (let i = 0; i < parallel; i++) void connectedFor('background', lane);
}

/** Takes no more work and hands back what is in hand; for a clean stop. */
export async function stopRunner(): Promise<void> {
  await holder.__oldhandRunner?.stop();
}
