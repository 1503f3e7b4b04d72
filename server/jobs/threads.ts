/** Knows the pool of worker threads of this process. */
import { join } from 'node:path';
import Piscina from 'piscina';
import { Told } from '../errors';
import { installRoot } from '../root';
import type {
  ToldElsewhere,
  compareTask,
  drawSampleTask,
  measureTask,
  reportTask,
  squareUpTask,
  standTask,
  uprightTask,
  WorkTask,
} from './workThread';

interface Results {
  measure: ReturnType<typeof measureTask>;
  'square-up': ReturnType<typeof squareUpTask>;
  upright: ReturnType<typeof uprightTask>;
  compare: ReturnType<typeof compareTask>;
  stand: ReturnType<typeof standTask>;
  report: ReturnType<typeof reportTask>;
  'draw-sample': ReturnType<typeof drawSampleTask>;
}

const holder = globalThis as { __oldhandThreads?: Piscina };

function pool(): Piscina {
  return (holder.__oldhandThreads ??= new Piscina({
    filename: join(installRoot(), 'build', 'bundle', 'work-thread.mjs'),
    minThreads: 0,
    maxThreads: Number(process.env.OLDHAND_THREADS ?? 2),
    idleTimeout: 30_000,
    // Pages come first: the threads run at lower priority where the system allows.
    niceIncrement: 10,
  }));
}

/** Runs a task in a worker thread; what it tells a person is thrown here as it was there. */
export async function inThread<T extends WorkTask>(task: T): Promise<Awaited<Results[T['task']]>> {
  const answer = (await pool().run(task)) as Awaited<Results[T['task']]> | ToldElsewhere;
  if (typeof answer === 'object' && answer !== null && 'told' in answer && typeof answer.told === 'object') {
    const { status, message, field } = (answer as ToldElsewhere).told;
    throw new Told(status, message, field);
  }
  return answer as Awaited<Results[T['task']]>;
}
