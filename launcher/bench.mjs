// `npm run bench`: how fast a profile is against the image library alone, and how pages answer while a class is measured.
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { freePort, startDatabase } from './database.mjs';
import { runScript } from './script.mjs';
import { startServer } from './server.mjs';
import { crowdTrial } from './torture/crowd.mjs';
import { ensureApplication, ensureBundles, ensurePackages, ensurePrograms, ROOT, say } from './setup.mjs';

const GOALS = { ratio: 10, firstRatio: 15, peakMb: 500, tensor: 1.5, palette: 0.3, p95Ms: 300, windowMs: 100, mixMs: 300, mixBehind: 0.3 };
const PAUSE_MS = 100;
const LONGEST_MINUTES = 20;

ensurePrograms('mariadbd', 'mariadb-install-db');
ensurePackages();
ensureBundles();
ensureApplication();
const scratch = mkdtempSync(join(tmpdir(), 'oldhand-bench-'));

const verdict = (value, goal) => (value <= goal ? 'met' : 'missed');
const quantile = (sorted, q) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))];

function profile() {
  say('Timing a full profile of a 12-megapixel JPEG …');
  // Drawn by a process of its own: what that takes is no part of what measuring takes.
  const picture = join(scratch, 'drawing.jpg');
  runScript('bench/drawing', picture);
  const r = JSON.parse(runScript('bench/profile', picture));
  say(`  decode and reduce alone   ${r.baseMs.toFixed(0)} ms`);
  say(`  full profile              ${r.profileMs.toFixed(0)} ms, ${r.firstProfileMs.toFixed(0)} ms the first time`);
  say(
    `  ratio                     ${r.ratio.toFixed(1)} (goal ${GOALS.ratio}: ${verdict(r.ratio, GOALS.ratio)}); ${r.firstRatio.toFixed(1)} the first time (goal ${GOALS.firstRatio}: ${verdict(r.firstRatio, GOALS.firstRatio)})`,
  );
  say(`  peak memory               ${r.peakMb.toFixed(0)} MB (goal ${GOALS.peakMb}: ${verdict(r.peakMb, GOALS.peakMb)})`);
  const grown = Object.entries(r.growth).map(([mp, ms]) => `${mp} MP ${(ms / 1000).toFixed(2)} s`);
  say(`  growth                    ${grown.join(', ')}`);
  say('  where the time goes       (shares of the whole; each line opens a part of the one above it)');
  for (const [name, parts] of Object.entries(r.where))
    say(`    ${name.padEnd(20)} ${parts.map(([part, share]) => `${part} ${(100 * share).toFixed(0)} %`).join(', ')}`);
}

function parts() {
  say('Timing parts of it against well-known libraries …');
  const r = JSON.parse(runScript('bench/parts'));
  const ratio = (own, other, goal) =>
    `${own.toFixed(0)} ms against ${other.toFixed(0)} ms: ${(own / other).toFixed(2)} (goal ${goal}: ${verdict(own / other, goal)})`;
  say(
    `  structure tensor          ${ratio(r.tensorMs, r.opencvMs, GOALS.tensor)} of OpenCV in WebAssembly, ${(r.tensorPixels / 1e6).toFixed(1)} MP`,
  );
  say(
    `  palette                   ${ratio(r.paletteMs, r.kmeansMs, GOALS.palette)} of a plain k-means, ${(r.palettePixels / 1e6).toFixed(1)} MP`,
  );
}

function readingWindow() {
  say('Timing the reading window …');
  const r = JSON.parse(runScript('bench/window'));
  say(
    `  ${r.side} px, ${r.windows} places      ${r.medianMs.toFixed(0)} ms in the middle (goal ${GOALS.windowMs}: ${verdict(r.medianMs, GOALS.windowMs)}), ${r.mostMs.toFixed(0)} ms at most, ${r.firstMs.toFixed(0)} ms the first time`,
  );
}

function mixing() {
  say('Mixing from forty paints, against every mix there is …');
  const r = JSON.parse(runScript('bench/mixing'));
  say(
    `  made ready, answered      ${r.readyMs.toFixed(0)} ms, ${r.answerMs.toFixed(0)} ms in the middle, ${r.mostMs.toFixed(0)} ms at most (goal ${GOALS.mixMs}: ${verdict(Math.max(r.readyMs, r.mostMs), GOALS.mixMs)})`,
  );
  say(
    `  behind the best of ${(r.mixes / 1e6).toFixed(1)} million ΔE00 ${r.usually.toFixed(2)} in the middle, ${r.behind.toFixed(2)} at most of ${r.targets} (goal ${GOALS.mixBehind}: ${verdict(r.behind, GOALS.mixBehind)}); all of them took ${(r.exhaustiveMs / 1000).toFixed(0)} s`,
  );
}

async function aClass() {
  say('Drawing and photographing a class of 24 …');
  const photographs = join(scratch, 'photographs');
  runScript('bench/photographs', photographs);
  const database = await startDatabase(join(scratch, 'data'), 3811);
  let server = null;
  const stop = async () => {
    await server?.stop();
    await database.stop();
  };
  process.once('SIGINT', () => void stop().then(() => process.exit(130)));
  try {
    const bundle = (name) => import(pathToFileURL(join(ROOT, 'build', 'bundle', `${name}.mjs`)).href);
    await (await bundle('migrate')).migrateDatabase(database.url, ROOT);
    const secret = 'a-secret-for-the-benchmark-alone-01234';
    process.env.BETTER_AUTH_SECRET = secret;
    const seed = await (await bundle('seed-demo')).seedDemo(database.url, join(scratch, 'pictures'), () => {});
    server = await startServer({ port: await freePort(4571), databaseUrl: database.url, secret, env: { OLDHAND_RATE_LIMIT: 'off' } });
    await classOn(server.origin, seed, photographs);
    // And the rush: sixty photographs in one moment.
    await crowdTrial([server]);
  } finally {
    await stop();
  }
}

async function classOn(origin, seed, photographs) {
  const headers = { origin };
  const signed = await fetch(`${origin}/api/auth/sign-in/email`, {
    method: 'POST',
    headers: { ...headers, 'content-type': 'application/json' },
    body: JSON.stringify({ email: seed.email, password: seed.password }),
  });
  if (!signed.ok) throw new Error(`the demo sign-in answered ${signed.status}`);
  headers.cookie = signed.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
  const get = async (path) => (await fetch(origin + path, { headers })).json();
  const [study] = await get('/api/studies');
  const counts = () => get(`/api/studies/${study.id}/progress`);
  const pause = (ms) => new Promise((done) => setTimeout(done, ms));
  const idle = async () => {
    const c = await counts();
    return c.queued + c.running === 0;
  };
  say('Measuring the master’s works …');
  while (!(await idle())) await pause(1000);
  const before = await counts();
  const roster = (await get('/api/classes')).flatMap((c) => c.students);
  const files = readdirSync(photographs).sort();
  const begun = performance.now();
  for (const [i, file] of files.entries()) {
    const form = new FormData();
    form.set('studentId', roster[i].id);
    form.set('kind', 'original');
    form.set('picture', new Blob([readFileSync(join(photographs, file))], { type: 'image/jpeg' }), file);
    const sent = await fetch(`${origin}/api/studies/${study.id}/pieces`, { method: 'POST', headers, body: form });
    if (!sent.ok) throw new Error(`handing in ${file} answered ${sent.status}: ${await sent.text()}`);
  }
  say(
    `${files.length} photographs handed in after ${((performance.now() - begun) / 1000).toFixed(1)} s; opening pages while they are measured …`,
  );
  const base = `/studies/${study.id}`;
  const pages = [
    '/studies',
    `${base}/look`,
    `${base}/marks`,
    `${base}/colour`,
    `${base}/pieces`,
    `${base}/compare`,
    `${base}/plan`,
    `${base}/hanging`,
  ];
  const times = [];
  const byPage = new Map(pages.map((p) => [p, []]));
  for (let k = 0; !(await idle()); k++) {
    if (performance.now() - begun > LONGEST_MINUTES * 60_000) throw new Error('the class was not measured in time');
    const page = pages[k % pages.length];
    const asked = performance.now();
    const answer = await fetch(origin + page, { headers });
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`${page} answered ${answer.status}`);
    const took = performance.now() - asked;
    times.push(took);
    byPage.get(page).push(took);
    await pause(PAUSE_MS);
  }
  const after = await counts();
  times.sort((a, b) => a - b);
  const p95 = quantile(times, 0.95);
  say(
    `  class measured in         ${((performance.now() - begun) / 1000).toFixed(0)} s (${after.done - before.done} jobs done, ${after.failed - before.failed} failed)`,
  );
  say(
    `  pages opened meanwhile    ${times.length}: median ${quantile(times, 0.5).toFixed(0)} ms, p95 ${p95.toFixed(0)} ms (goal ${GOALS.p95Ms}: ${verdict(p95, GOALS.p95Ms)}), slowest ${times.at(-1).toFixed(0)} ms`,
  );
  for (const [page, own] of byPage)
    if (own.length)
      say(
        `    ${page.replace(base, '…').padEnd(14)} median ${quantile(
          own.sort((a, b) => a - b),
          0.5,
        ).toFixed(0)} ms`,
      );
}

try {
  profile();
  parts();
  readingWindow();
  mixing();
  await aClass();
} finally {
  rmSync(scratch, { recursive: true, force: true });
}
