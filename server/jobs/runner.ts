/** Knows how a server works through the queue: one loop a process, two jobs at a time, leases renewed while they run. */
import { hostname } from 'node:os';
import { database } from '../database/connection';
import { Told } from '../errors';
import { log } from '../log';
import { compareAgain } from '../pieces/asking';
import { comparePiece, processPiece } from '../pieces/processing';
import { askForOutdated, ensureProfile, workOf } from '../studies/works';
import { claim, finish, giveUp, Job, LEASE_MS, renew } from './queue';

async function carryOut(job: Job): Promise<void> {
  const { workId, pieceId } = job.payload;
  switch (job.kind) {
    case 'measure-work': {
      const work = await workOf(job.teacherId, workId);
      await ensureProfile(job.teacherId, work.pictureId, work.widthMm);
      await compareAgain(job.teacherId, work.studyId);
      return;
    }
    case 'process-piece':
      return processPiece(job.teacherId, pieceId);
    case 'compare-piece':
      return comparePiece(job.teacherId, pieceId);
  }
}

async function runOne(job: Job, owner: string): Promise<void> {
  const db = database();
  const beat = setInterval(
    () => void renew(db, job, owner).catch((error) => log.warn({ error, job: job.id }, 'lease not renewed')),
    LEASE_MS / 3,
  );
  try {
    await carryOut(job);
    await finish(db, job, owner);
  } catch (error) {
    // What was told to a person will not get better by trying again; nor will a piece that has been removed.
    const final = error instanceof Told || error instanceof RangeError;
    log.warn({ err: error, job: job.id, kind: job.kind }, 'job failed');
    await giveUp(db, job, owner, error instanceof Error ? error.message.slice(0, 500) : 'unknown', final);
  } finally {
    clearInterval(beat);
  }
}

const holder = globalThis as { __oldhandRunner?: { stop: () => void } };

/** Starts the loop of this process; a second call changes nothing. */
export function startRunner(parallel = 2): void {
  if (holder.__oldhandRunner) return;
  const owner = `${hostname().slice(0, 30)}:${process.pid}:${Math.random().toString(36).slice(2, 8)}`;
  let stopped = false;
  holder.__oldhandRunner = { stop: () => (stopped = true) };
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
  // A newer core reads what an older one has read again.
  void askForOutdated().catch((error) => log.error({ err: error }, 'older readings were not asked for anew'));
  for (let i = 0; i < parallel; i++) void lane();
}
