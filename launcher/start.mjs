// `./oldhand start`: sets up what is missing, runs database and application, minds them, and stops both on Ctrl-C.
import { existsSync, statfsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { dumpTo } from './backup.mjs';
import { keptSecret, freePort, startDatabase } from './database.mjs';
import { endLeftOvers, holdFolder, sleep } from './processes.mjs';
import { startDemoClass, startServer } from './server.mjs';
import {
  ensureApplication,
  ensureBundles,
  ensurePackages,
  ensurePrograms,
  findProgram,
  plainError,
  ROOT,
  say,
  wishPrograms,
} from './setup.mjs';

function readOptions(words) {
  const out = { port: null, data: join(ROOT, 'data'), demo: !process.env.DATABASE_URL, dev: false };
  for (let i = 0; i < words.length; i++) {
    const word = words[i];
    if (word === '--port') {
      out.port = Number(words[++i]);
      if (!Number.isInteger(out.port) || out.port < 1 || out.port > 65535)
        throw plainError(`--port: "${words[i]}" must be a whole number from 1 to 65535`);
    } else if (word === '--data') {
      if (!words[i + 1]) throw plainError('--data: name a folder');
      out.data = resolve(words[++i]);
    } else if (word === '--no-demo') out.demo = false;
    else if (word === '--demo') out.demo = true;
    else if (word === '--dev') out.dev = true;
    else throw plainError(`${word}: no such option; known are --port N, --data DIR, --no-demo`);
  }
  return out;
}

/** Brings a thing back when it dies, so often within so long; then gives up with what `over` says. */
const MOST_RESTARTS = 5;
const WITHIN_MS = 10 * 60_000;
export function restarting(name, over) {
  const times = [];
  return async (begin) => {
    const now = Date.now();
    while (times.length && now - times[0] > WITHIN_MS) times.shift();
    if (times.length >= MOST_RESTARTS) throw plainError(over);
    times.push(now);
    say(`The ${name} ended by itself; starting it again …`);
    // A moment of rest, longer each time: what was short (disk, memory) may come back.
    await sleep(300 * 2 ** (times.length - 1));
    try {
      await begin();
      say(`The ${name} is back.`);
    } catch (error) {
      // Tried again on the next turn, until it has been too often.
      say(error.message);
    }
  };
}

const LEAST_MB = Number(process.env.OLDHAND_LEAST_FREE_MB) || 300;

/** Says once when the disk is almost full, and once when there is room again. */
function minder(dir) {
  let short = false;
  return () => {
    const { bavail, bsize } = statfsSync(dir);
    const now = (bavail * bsize) / 1048576 < LEAST_MB;
    if (now !== short)
      say(
        now ? `The disk of ${dir} is almost full: no pictures are taken in until there is room again.` : 'There is room on the disk again.',
      );
    short = now;
  };
}

/** Everything of an earlier version, dumped before it is changed. */
async function dumpBeforeUpgrade(url, dir, pendingMigrations) {
  const { pending, holdsData } = await pendingMigrations(url, ROOT);
  if (!pending.length || !holdsData) return;
  const file = join(dir, `before-upgrade-${pending[0]}.sql.gz`);
  // An upgrade that was broken off goes on; the dump made before it is the good one.
  if (existsSync(file)) return;
  if (!findProgram(['mariadb-dump', 'mysqldump'])) ensurePrograms('mariadb-dump');
  say(`This data folder is of an earlier version; dumping it to ${file} before it is brought up to date …`);
  await dumpTo(url, file, { 'sign-in-secret': keptSecret(dir, 'sign-in-secret') });
}

export async function start(words) {
  const options = readOptions(words);
  const own = !process.env.DATABASE_URL;
  if (own) ensurePrograms('mariadbd', 'mariadb-install-db', 'mariadb');
  if (own) wishPrograms('mariadb-dump');
  ensurePackages();
  ensureBundles();
  if (!options.dev) ensureApplication();
  const stops = [];
  let stopping = null;
  const stopAll = () =>
    (stopping ??= (async () => {
      for (const stop of stops.reverse()) await (async () => stop())().catch(() => {});
    })());
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => {
      say('Stopping …');
      stopAll().then(() => process.exit(0));
    });
  const ended = () => stopping !== null;
  try {
    let url = process.env.DATABASE_URL;
    let database = null;
    if (own) {
      stops.push(holdFolder(options.data));
      await endLeftOvers(options.data, say);
      database = await startDatabase(options.data, 3411, { onSpawn: (stop) => stops.push(stop) });
      url = database.url;
    }
    const bundle = (name) => import(pathToFileURL(join(ROOT, 'build', 'bundle', `${name}.mjs`)).href);
    const { migrateDatabase, pendingMigrations } = await bundle('migrate');
    if (own) await dumpBeforeUpgrade(url, options.data, pendingMigrations);
    await migrateDatabase(url, ROOT);
    const seed = options.demo ? await (await bundle('seed-demo')).seedDemo(url, join(options.data, 'demo-pictures'), say) : null;
    const port = options.port ?? (await freePort(4170));
    let server = null;
    const serve = async () => {
      server = await startServer({
        port,
        databaseUrl: url,
        secret: process.env.BETTER_AUTH_SECRET ?? keptSecret(options.data, 'sign-in-secret'),
        dev: options.dev,
        dir: own ? options.data : null,
        onSpawn: (stop) => stops.push(stop),
      });
    };
    await serve();
    process.stdout.write(`Old Hand is at ${server.origin}\n`);
    if (seed) stops.push(startDemoClass(url, join(options.data, 'demo-pictures'), { dir: own ? options.data : null }).stop);
    if (seed) process.stdout.write(`Demo sign-in: ${seed.email} with the password ${seed.password}\n`);
    process.stdout.write('Ctrl-C stops it.\n');
    const againDatabase = restarting('database', `the database keeps ending; its last words are in ${join(options.data, 'mariadb.log')}`);
    const againServer = restarting('application', 'the application keeps ending; the lines above say why');
    const mind = own ? minder(options.data) : () => {};
    for (let turn = 0; !ended(); turn++) {
      if (database?.dead() && !ended()) await againDatabase(database.restart);
      if (server.ended() !== null && !ended()) await againServer(serve);
      if (turn % 30 === 0) mind();
      await sleep(300);
    }
    await stopAll();
    return 0;
  } catch (error) {
    if (ended()) {
      await stopAll();
      return 0;
    }
    await stopAll();
    throw error;
  }
}
