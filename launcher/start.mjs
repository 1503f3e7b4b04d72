// `./oldhand start`: sets up what is missing, runs database and application, and stops both on Ctrl-C.
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { keptSecret, freePort, startDatabase } from './database.mjs';
import { startDemoClass, startServer } from './server.mjs';
import { ensureApplication, ensureBundles, ensureDebian, ensurePackages, plainError, ROOT, say } from './setup.mjs';

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

export const MARIADB = [
  [
    ['mariadbd', 'mysqld'],
    ['mariadb-install-db', 'mysql_install_db'],
  ],
  ['mariadb-server-core', 'mariadb-client-core'],
];

export async function start(words) {
  const options = readOptions(words);
  if (!process.env.DATABASE_URL) ensureDebian(...MARIADB);
  ensurePackages();
  ensureBundles();
  if (!options.dev) ensureApplication();
  const stops = [];
  let stopping = null;
  const stopAll = () =>
    (stopping ??= (async () => {
      for (const stop of stops.reverse()) await stop().catch(() => {});
    })());
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => {
      say('Stopping …');
      stopAll().then(() => process.exit(0));
    });
  try {
    let url = process.env.DATABASE_URL;
    if (!url) {
      const database = await startDatabase(options.data, 3411);
      stops.push(database.stop);
      url = database.url;
    }
    const bundle = (name) => import(pathToFileURL(join(ROOT, 'build', 'bundle', `${name}.mjs`)).href);
    await (await bundle('migrate')).migrateDatabase(url, ROOT);
    const seed = options.demo
      ? await (await bundle('seed-demo')).seedDemo(url, join(options.data, 'demo-pictures'), say)
      : null;
    const port = options.port ?? (await freePort(4170));
    const server = await startServer({
      port,
      databaseUrl: url,
      secret: process.env.BETTER_AUTH_SECRET ?? keptSecret(options.data, 'sign-in-secret'),
      dev: options.dev,
      onSpawn: (stop) => stops.push(stop),
    });
    process.stdout.write(`Old Hand is at ${server.origin}\n`);
    if (seed) stops.push(startDemoClass(url, join(options.data, 'demo-pictures')).stop);
    if (seed) process.stdout.write(`Demo sign-in: ${seed.email} with the password ${seed.password}\n`);
    process.stdout.write('Ctrl-C stops it.\n');
    while (server.ended() === null && !stopping) await new Promise((done) => setTimeout(done, 300));
    if (!stopping) throw plainError('the application stopped by itself');
    await stopAll();
    return 0;
  } catch (error) {
    await stopAll();
    throw error;
  }
}
