// Knows how to run Next's production server (or its development server) on loopback.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { beganAt, endProcess, isAlive, note, sleep } from './processes.mjs';
import { plainError, ROOT } from './setup.mjs';

/** Lets the demo class hand in its pieces, one after another, beside the running server. */
export function startDemoClass(databaseUrl, cache, { only, dir } = {}) {
  const child = spawn(
    process.execPath,
    [join(ROOT, 'build', 'bundle', 'seed-demo.mjs'), 'pieces', cache, ...(only ? [String(only)] : [])],
    {
      cwd: ROOT,
      stdio: ['ignore', 'ignore', 2],
      detached: true,
      env: { ...process.env, DATABASE_URL: databaseUrl, OLDHAND_ROOT: ROOT, NODE_ENV: 'production' },
    },
  );
  if (dir) note(dir, 'demo class', child.pid);
  let ended = false;
  const finished = new Promise((done) =>
    child.once('exit', (code) => {
      ended = true;
      done(code);
    }),
  );
  const stop = async () => {
    if (!ended) child.kill('SIGKILL');
    await finished;
  };
  return { stop, finished };
}

/** Starts a server; resolves once its sign-in page answers. `dir` is the data folder that notes it. */
export async function startServer({ port, databaseUrl, secret, env = {}, dev = false, dir = null, onSpawn = () => {} }) {
  const origin = `http://127.0.0.1:${port}`;
  const child = spawn(
    process.execPath,
    [join(ROOT, 'node_modules', 'next', 'dist', 'bin', 'next'), dev ? 'dev' : 'start', '-H', '127.0.0.1', '-p', String(port)],
    {
      cwd: ROOT,
      stdio: ['ignore', dev ? 2 : 'ignore', 2],
      detached: true,
      env: {
        ...process.env,
        NODE_ENV: dev ? 'development' : 'production',
        NEXT_TELEMETRY_DISABLED: '1',
        // The server ends itself when it is asked to: jobs handed back, requests under way answered.
        ...(dev ? {} : { NEXT_MANUAL_SIG_HANDLE: '1' }),
        DATABASE_URL: databaseUrl,
        BETTER_AUTH_SECRET: secret,
        BETTER_AUTH_TELEMETRY: '0',
        OLDHAND_ORIGIN: process.env.OLDHAND_ORIGIN ?? origin,
        OLDHAND_ROOT: ROOT,
        ...(dir ? { OLDHAND_DATA: dir } : {}),
        ...env,
      },
    },
  );
  const known = { pid: child.pid, began: beganAt(child.pid) };
  if (dir) note(dir, 'application', child.pid);
  let ended = null;
  child.once('exit', (code, signal) => (ended = signal ?? String(code)));
  const stop = async (signal = 'SIGTERM') => {
    if (ended !== null) return;
    if (signal === 'SIGKILL') child.kill('SIGKILL');
    await endProcess(known, 10_000);
    while (ended === null && isAlive(known)) await sleep(20);
  };
  // Known to the caller before the server answers, so that Ctrl-C meanwhile leaves nothing behind.
  onSpawn(stop);
  let last = 'nothing listens';
  for (let tries = 0; ; tries++) {
    if (ended !== null) throw plainError(`the application ended at once (${ended}); the lines above say why`);
    if (tries > 600) {
      await stop('SIGKILL');
      throw plainError(`the application did not answer within two minutes (${last})`);
    }
    try {
      const response = await fetch(`${origin}/sign-in`);
      if (response.ok) break;
      last = `its sign-in page answers ${response.status}`;
    } catch (error) {
      if (/bad port/.test(String(error.cause?.message))) {
        await stop('SIGKILL');
        throw plainError(`browsers refuse to open port ${port}; choose another with --port`);
      }
      last = String(error.cause?.code ?? error.message);
    }
    await sleep(200);
  }
  return { origin, stop, pid: child.pid, ended: () => ended };
}
