// Knows the processes a data folder has running, so that a start after a kill finds what was left behind.
import { existsSync, linkSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { plainError } from './setup.mjs';

const LIST = 'running.json';
const LOCK = 'launcher.lock';

/** When a process began, in the system's own ticks; tells it from a later one of the same number. Null where it is gone. */
export function beganAt(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    return fields[0] === 'Z' ? null : fields[19];
  } catch {
    return null;
  }
}

export const self = () => ({ pid: process.pid, began: beganAt(process.pid) });
export const isAlive = (known) => Boolean(known?.pid) && known.began !== null && beganAt(known.pid) === known.began;

function readJson(file, otherwise) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return otherwise;
  }
}

/** The children noted for a data folder, whether or not they still live. */
export const noted = (dir) => readJson(join(dir, LIST), []);

function write(dir, list) {
  const file = join(dir, LIST);
  writeFileSync(`${file}.${process.pid}`, JSON.stringify(list, null, 1), { mode: 0o600 });
  renameSync(`${file}.${process.pid}`, file);
}

/** Notes a child as soon as it has been spawned; `more` is kept beside it. */
export function note(dir, name, pid, more = {}) {
  const others = noted(dir).filter((c) => c.name !== name && isAlive(c));
  write(dir, [...others, { name, pid, began: beganAt(pid), ...more }]);
}

export const sleep = (ms) => new Promise((done) => setTimeout(done, ms));

/** Asks a process to end, and makes it where it does not. */
export async function endProcess(known, patienceMs) {
  if (!isAlive(known)) return;
  process.kill(known.pid, 'SIGTERM');
  for (let waited = 0; waited < patienceMs && isAlive(known); waited += 100) await sleep(100);
  if (isAlive(known)) process.kill(known.pid, 'SIGKILL');
  for (let waited = 0; waited < 5000 && isAlive(known); waited += 50) await sleep(50);
}

/** Ends what a killed launcher left running on this data folder: application first, the database last. */
export async function endLeftOvers(dir, say) {
  const left = noted(dir).filter(isAlive);
  for (const child of left.filter((c) => c.name !== 'database')) {
    say(`Stopping what an earlier start left running: ${child.name} (process ${child.pid}) …`);
    await endProcess(child, 8000);
  }
  for (const child of left.filter((c) => c.name === 'database')) {
    say(`Stopping the database an earlier start left running (process ${child.pid}) …`);
    await endProcess(child, 30_000);
  }
}

/** Holds a data folder for this process; gives what lets go of it. Refuses where another launcher has it. */
export function holdFolder(dir) {
  mkdirSync(dir, { recursive: true });
  const file = join(dir, LOCK);
  // Written beside its place and linked there, so that nobody ever reads an empty one.
  const own = `${file}.${process.pid}`;
  writeFileSync(own, JSON.stringify(self()), { mode: 0o600 });
  try {
    for (;;) {
      try {
        linkSync(own, file);
        break;
      } catch (error) {
        if (error.code !== 'EEXIST') throw error;
        const owner = readJson(file, null);
        if (isAlive(owner)) throw plainError(`Old Hand is running on ${dir} already (process ${owner.pid}); stop that one first`);
        rmSync(file, { force: true });
      }
    }
  } finally {
    rmSync(own, { force: true });
  }
  return () => {
    if (readJson(file, null)?.pid === process.pid) rmSync(file, { force: true });
  };
}

/** The database that runs for a folder at this moment, or null. */
export function runningDatabase(dir) {
  const own = noted(dir).find((c) => c.name === 'database');
  return own && isAlive(own) ? own : null;
}

export const hasFolder = (dir) => existsSync(join(dir, 'mariadb'));
