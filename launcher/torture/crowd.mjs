// Many at once: sixty photographs in one moment, and pages opened while they arrive and are measured.
import { say } from '../setup.mjs';
import { account, largePhotograph, openPages, quantile, sha, Teacher } from './school.mjs';

const UPLOADS = 60;

/** On the servers given; the first takes the uploads, pages are opened on the last. */
export async function crowdTrial(servers, { uploads = UPLOADS, minutes = 20, meanwhile = async () => {} } = {}) {
  const teacher = await new Teacher(servers[0]).enter('sign-up');
  const study = await teacher.study('Crowd');
  const made = [];
  for (let i = 0; i < uploads; i++) made.push(await largePhotograph(i + 1));
  const megabytes = made.reduce((s, b) => s + b.length, 0) / 1048576;
  say(`${uploads} photographs of ${(megabytes / uploads).toFixed(1)} MB at once …`);
  const looker = new Teacher(servers.at(-1));
  Object.assign(looker, { email: teacher.email });
  await looker.enter('sign-in');
  let going = true;
  const opening = openPages(looker, study, () => going);
  const accepted = new Map();
  const begun = performance.now();
  const senders = servers.map((s) => Object.assign(new Teacher(s), { cookie: s === servers[0] ? teacher.cookie : looker.cookie }));
  let sends = 0;
  const handing = Promise.all(
    made.map(async (bytes, i) => {
      const { id, sent } = await senders[i % senders.length].handIn(
        `/api/studies/${study}/pieces`,
        bytes,
        `p${i}.jpg`,
        { kind: 'copy' },
        () => performance.now() - begun > minutes * 60_000,
      );
      sends += sent;
      if (id) accepted.set(id, sha(bytes));
    }),
  );
  await Promise.all([handing, meanwhile()]);
  const tookIn = (performance.now() - begun) / 1000;
  const counts = await looker.idle(study, minutes);
  going = false;
  const pages = await opening;
  const result = await account(looker, study, accepted);
  const r = {
    ...result,
    sends,
    tookInSeconds: tookIn,
    measuredSeconds: (performance.now() - begun) / 1000,
    counts,
    pages: pages.times.length,
    badPages: pages.bad,
    p50: quantile(pages.times, 0.5),
    p95: quantile(pages.times, 0.95),
    slowest: Math.max(0, ...pages.times),
    teacher: looker,
    study,
  };
  say(
    `  accepted ${r.accepted} of ${uploads} within ${tookIn.toFixed(0)} s (sent ${sends} times), measured after ${r.measuredSeconds.toFixed(0)} s; lost ${r.lost}, altered ${r.altered}, stuck ${r.stuck}, failed ${r.failed}`,
  );
  say(
    `  pages meanwhile: ${r.pages}, not answered ${r.badPages}; median ${r.p50.toFixed(0)} ms, p95 ${r.p95.toFixed(0)} ms (goal 300), slowest ${r.slowest.toFixed(0)} ms`,
  );
  return r;
}
