// Fifty kills: of application, database and launcher, at random moments of start, migration, upload, job and stop.
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { freePort } from '../database.mjs';
import { isAlive, noted, sleep } from '../processes.mjs';
import { ROOT, say } from '../setup.mjs';
import { account, photograph, sha, Teacher } from './school.mjs';

const STARTS = 14;
const KILLS = 36;
const UPLOADS = 200;
const LONGEST_MIN = 25;

function launch(data, port) {
  const env = { ...process.env, DATABASE_URL: '', OLDHAND_RATE_LIMIT: 'off' };
  const child = spawn(process.execPath, [join(ROOT, 'oldhand'), 'start', '--no-demo', '--data', data, '--port', String(port)], {
    cwd: ROOT,
    env,
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const launched = { child, said: '', up: false, over: false };
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (c) => {
      launched.said = (launched.said + c).slice(-4000);
      launched.up ||= /Ctrl-C stops it/.test(launched.said);
    });
  launched.ended = new Promise((done) => child.once('exit', () => done((launched.over = true))));
  return launched;
}

async function until(what, seconds) {
  for (let i = 0; i < seconds * 10 && !what(); i++) await sleep(100);
  return what();
}

/** First starts killed within their first seconds, while the folder, the tables and the server are made. */
async function starts(scratch, port) {
  const out = { kills: 0, folders: 0, startedAgain: 0 };
  for (let folder = 0; folder < 3; folder++) {
    const data = join(scratch, `start-${folder}`);
    out.folders++;
    for (let i = 0; i < Math.ceil(STARTS / 3) && out.kills < STARTS; i++) {
      const launched = launch(data, port);
      await sleep(100 + Math.random() * 3200);
      const database = noted(data).find((c) => c.name === 'database');
      if (i % 3 === 2 && isAlive(database)) process.kill(database.pid, 'SIGKILL');
      launched.child.kill(i % 2 ? 'SIGINT' : 'SIGKILL');
      out.kills++;
      await launched.ended;
    }
    const last = launch(data, port);
    if ((await until(() => last.up || last.over, 60)) && last.up) out.startedAgain++;
    else say(last.said);
    last.child.kill('SIGINT');
    await last.ended;
  }
  return out;
}

/** A running school under kills, while photographs come in. */
async function school(scratch, port) {
  const data = join(scratch, 'school');
  const until_ = Date.now() + LONGEST_MIN * 60_000;
  let launched = launch(data, port);
  if (!(await until(() => launched.up, 90))) throw new Error(`the first start did not succeed: ${launched.said}`);
  const teacher = await new Teacher(`http://127.0.0.1:${port}`).enter('sign-up');
  const study = await teacher.study('Kills');
  const photographs = await Promise.all(Array.from({ length: UPLOADS }, (_, i) => photograph(i + 1)));
  const accepted = new Map();
  let sending = true;
  let sends = 0;
  let next = 0;
  const hand = async () => {
    for (let i = next++; i < UPLOADS; i = next++) {
      const { id, sent } = await teacher.handIn(
        `/api/studies/${study}/pieces`,
        photographs[i],
        `p${i}.jpg`,
        { kind: 'copy' },
        () => Date.now() > until_,
      );
      sends += sent;
      if (id) accepted.set(id, sha(photographs[i]));
      // Spread over the whole trial, so that kills meet uploads, jobs and idle moments.
      await sleep(200 + Math.random() * 1500);
    }
  };
  const handing = Promise.all([hand(), hand(), hand()]).finally(() => (sending = false));
  const kills = { application: 0, database: 0, launcher: 0, 'clean stop': 0, 'while starting': 0 };
  const WHAT = Object.keys(kills);
  for (let k = 0; k < KILLS && Date.now() < until_; k++) {
    await sleep(800 + Math.random() * 3500);
    if (launched.over) launched = launch(data, port);
    const what = WHAT[k % WHAT.length];
    kills[what]++;
    if (what === 'application' || what === 'database') {
      await until(() => launched.up || launched.over, 60);
      const child = noted(data).find((c) => c.name === what);
      if (isAlive(child)) process.kill(child.pid, 'SIGKILL');
      continue;
    }
    launched.child.kill(what === 'clean stop' ? 'SIGINT' : 'SIGKILL');
    await launched.ended;
    launched = launch(data, port);
    if (what !== 'while starting') continue;
    await sleep(200 + Math.random() * 3000);
    launched.child.kill('SIGKILL');
    await launched.ended;
    launched = launch(data, port);
  }
  const mind = setInterval(() => {
    if (launched.over) launched = launch(data, port);
  }, 1000);
  while (sending && Date.now() < until_) await sleep(500);
  await handing;
  await until(() => launched.up, 90);
  const counts = await teacher.idle(study, 12);
  const result = await account(teacher, study, accepted);
  clearInterval(mind);
  launched.child.kill('SIGINT');
  await launched.ended;
  const left = noted(data).filter(isAlive).length;
  return { kills, sends, counts, ...result, left, log: readFileSync(join(data, 'mariadb.log'), 'utf8').match(/corrupt/gi)?.length ?? 0 };
}

export async function killsTrial(scratch) {
  say('Kills while a data folder is made and brought up to date …');
  const begun = await starts(scratch, await freePort(4811));
  say(`  ${begun.kills} kills over ${begun.folders} folders; started again: ${begun.startedAgain} of ${begun.folders}`);
  say('Kills while photographs come in and are measured …');
  const r = await school(scratch, await freePort(4831));
  const total = Object.values(r.kills).reduce((a, b) => a + b, 0) + begun.kills;
  say(
    `  ${total} kills in all (${Object.entries(r.kills)
      .map(([k, n]) => `${n} ${k}`)
      .join(', ')})`,
  );
  say(
    `  uploads accepted ${r.accepted} of ${UPLOADS} (sent ${r.sends} times); lost ${r.lost}, altered ${r.altered}, stuck ${r.stuck}, failed for good ${r.failed}`,
  );
  say(`  jobs: ${JSON.stringify(r.counts)}; processes left ${r.left}; corrupt tables ${r.log}`);
  return { ...r, kills: total, started: `${begun.startedAgain} of ${begun.folders}` };
}
