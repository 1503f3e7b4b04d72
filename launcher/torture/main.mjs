// `npm run torture [-- --cluster] [-- kills|crowd|malformed|servers …]`: what a school's bad day does, on loopback, bounded, with its figures printed.
import { mkdtempSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { freePort, startDatabase } from '../database.mjs';
import { sleep } from '../processes.mjs';
import { startServer } from '../server.mjs';
import { ensureApplication, ensureBundles, ensurePackages, ensurePrograms, ROOT, say } from '../setup.mjs';
import { startCluster } from './cluster.mjs';
import { crowdTrial } from './crowd.mjs';
import { killsTrial } from './kills.mjs';
import { malformedTrial } from './malformed.mjs';

const words = process.argv.slice(2);
const cluster = words.includes('--cluster');
const only = words.filter((w) => !w.startsWith('--'));
const wanted = (name) => (only.length ? only.includes(name) : true);
const SECRET = 'a-secret-for-the-trial-alone-0123456789';

ensurePrograms('mariadbd', 'mariadb-install-db', 'mariadb');
ensurePackages();
ensureBundles();
ensureApplication();
const scratch = mkdtempSync(join(tmpdir(), 'oht-'));
const { migrateDatabase } = await import(pathToFileURL(join(ROOT, 'build', 'bundle', 'migrate.mjs')).href);
const { createConnection } = createRequire(join(ROOT, 'package.json'))('mysql2/promise');
const faults = [];
const expect = (holds, what) => {
  if (!holds) faults.push(what);
};

const serve = async (databaseUrl, env = {}) =>
  startServer({ port: await freePort(4861), databaseUrl, secret: SECRET, env: { OLDHAND_RATE_LIMIT: 'off', ...env } });

/** Two servers on one database, one of them killed under way; the other finishes the dead one's work. */
async function twoServers(urls, killNode = null) {
  const [one, two] = [await serve(urls[0]), await serve(urls[1])];
  try {
    const r = await crowdTrial([one, two], {
      uploads: 24,
      meanwhile: async () => {
        await sleep(2500);
        killNode?.();
        await sleep(4000);
        process.kill(one.pid, 'SIGKILL');
        say('  one server killed');
        await sleep(500);
        // Its uploads go on to the other one.
        one.origin = two.origin;
      },
    });
    const db = await createConnection(
      urls[1].replace(/@([^/]+)\//, (_, hosts) => `@${hosts.split(',').find((h) => !killNode || h !== urls[0].match(/@([^,/]+)/)[1])}/`),
    );
    const [[{ twice }]] = await db.query(
      'select count(*) twice from (select picture_id from profiles group by picture_id, profile_version, width_mm, place, rung having count(*) > 1) x',
    );
    const [[{ orphans }]] = await db.query('select count(*) orphans from blobs b where b.complete = 0');
    await db.end();
    say(`  readings stored twice ${twice}; bytes half stored ${orphans}`);
    expect(r.lost + r.altered + r.stuck + r.failed === 0, 'two servers: an upload was lost, altered, stuck or failed');
    expect(Number(twice) === 0 && Number(orphans) === 0, 'two servers: something was stored twice or by half');
  } finally {
    await Promise.all([one.stop(), two.stop()]);
  }
}

const begun = Date.now();
try {
  if (wanted('kills')) {
    const r = await killsTrial(scratch);
    expect(r.kills >= 50, 'fewer kills than meant');
    expect(r.lost + r.altered + r.stuck + r.failed + r.left === 0, 'kills: an upload was lost, altered, stuck or failed');
    expect(/^(\d+) of \1$/.test(r.started), 'kills: a data folder did not start again');
  }
  if (wanted('crowd') || wanted('malformed') || wanted('servers')) {
    const database = await startDatabase(join(scratch, 'data'), 3811);
    await migrateDatabase(database.url, ROOT);
    try {
      if (wanted('malformed') || wanted('crowd')) {
        const server = await serve(database.url);
        if (wanted('malformed')) {
          const r = await malformedTrial(server.origin);
          expect(r.broken.length === 0 && r.slowest < 20_000, 'malformed: a 500, or longer than twenty seconds');
        }
        if (wanted('crowd')) {
          const r = await crowdTrial([server]);
          expect(r.lost + r.altered + r.stuck + r.failed + r.badPages === 0, 'crowd: an upload was lost, or a page did not answer');
          expect(r.p95 < 300, `crowd: pages took ${r.p95.toFixed(0)} ms at the 95th percentile`);
        }
        await server.stop();
      }
      if (wanted('servers')) {
        say('Two application servers on one database, one killed …');
        await twoServers([database.url, database.url]);
      }
    } finally {
      await database.stop();
    }
  }
  if (cluster) {
    const trial = await startCluster(scratch);
    try {
      await migrateDatabase(trial.url([0, 1, 2]), ROOT);
      say('Two application servers on a cluster of three, one node and one server killed …');
      await twoServers([trial.url([0, 1, 2]), trial.url([1, 2, 0])], () => {
        trial.kill(0);
        say('  one node killed');
      });
    } finally {
      await trial.stop();
    }
  }
} finally {
  if (process.env.OLDHAND_KEEP_TRIAL) say(`kept: ${scratch}`);
  else rmSync(scratch, { recursive: true, force: true });
}
say(`\n${((Date.now() - begun) / 60000).toFixed(0)} minutes.`);
for (const fault of faults) say(`FAULT ${fault}`);
if (!faults.length) say('No fault.');
process.exit(faults.length ? 1 : 0);
