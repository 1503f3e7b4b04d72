/** Knows how a server ends cleanly: its jobs are handed back, requests under way are answered, then it goes. */
import { beginEnding, underWay } from '../ending';
import { log } from '../log';
import { stopRunner } from './runner';

const LONGEST_MS = 7000;

export async function endCleanly(): Promise<void> {
  beginEnding();
  const until = Date.now() + LONGEST_MS;
  await stopRunner().catch((error) => log.warn({ err: error }, 'jobs were not handed back; their leases run out'));
  while (underWay() > 0 && Date.now() < until) await new Promise((done) => setTimeout(done, 50));
  process.exit(0);
}
