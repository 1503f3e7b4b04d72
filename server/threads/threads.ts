/** Knows the worker threads of this process: some for background work, one that is kept for whoever waits at a screen. */
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import Piscina from 'piscina';
import { connectionUse } from '../database/connection';
import { UserError } from '../errors';
import { installRoot } from '../root';
import type { ReportProgress } from './reportDocument';
import type { Results, UserErrorData, WorkTask } from './tasks';

type Purpose = 'waited-for' | 'background';

const holder = globalThis as { __oldhandThreads?: Partial<Record<Purpose, Piscina>> };

/** Threads for background work; one more is kept for people. */
export const backgroundThreads = (): number => Math.max(1, Number(process.env.OLDHAND_THREADS) || 2);

function pool(purpose: Purpose): Piscina {
  const pools = (holder.__oldhandThreads ??= {});
  return (pools[purpose] ??= new Piscina({
    filename: join(installRoot(), 'build', 'bundle', 'work-thread.mjs'),
    minThreads: 0,
    maxThreads: purpose === 'background' ? backgroundThreads() : 1,
    idleTimeout: 30_000,
    // Pages come first, and what somebody waits for before what nobody does, where the system allows.
    niceIncrement: purpose === 'background' ? 10 : 3,
  }));
}

/**
 * Runs a task in a worker thread: among the background's where a job asks for it, else in the one that background work
 * never gets. What the task tells a person is thrown here as it was there.
 */
export async function inThread<T extends WorkTask>(task: T, onProgress?: (now: ReportProgress) => void): Promise<Results[T['task']]> {
  const purpose = connectionUse() === 'background' ? 'background' : 'waited-for';
  const answer = (await (onProgress ? told(task, onProgress, pool(purpose)) : pool(purpose).run(task))) as
    Results[T['task']] | UserErrorData;
  if (typeof answer === 'object' && answer !== null && 'userError' in answer && typeof answer.userError === 'object') {
    const { status, said, field } = (answer as UserErrorData).userError;
    throw new UserError(status, said, field);
  }
  return answer as Results[T['task']];
}

/** Runs a task that tells how far it is over a port of its own. */
async function told(task: WorkTask, onProgress: (now: ReportProgress) => void, threads: Piscina): Promise<unknown> {
  const { port1, port2 } = new MessageChannel();
  port1.on('message', onProgress);
  port1.unref();
  try {
    return await threads.run({ ...task, progress: port2 }, { transferList: [port2] });
  } finally {
    port1.close();
  }
}

/** Ends every worker thread of this process. */
export async function endThreads(): Promise<void> {
  const pools = Object.values(holder.__oldhandThreads ?? {});
  delete holder.__oldhandThreads;
  await Promise.all(pools.map((p) => p.destroy()));
}
