// A made-up school for trials: a teacher who signs up, a study, and photographs drawn from numbers.
import { createHash, randomBytes } from 'node:crypto';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { sleep } from '../processes.mjs';
import { ROOT } from '../setup.mjs';

const sharp = createRequire(join(ROOT, 'package.json'))('sharp');

/** A photographed sheet on a dark table, a different one for each number. */
export async function photograph(seed, width = 720, height = 540, quality = 80) {
  const lines = [];
  for (let i = 0; i < 24; i++) {
    const x = 90 + ((seed * 37 + i * 53) % 520);
    lines.push(
      `<line x1="${x}" y1="${90 + ((seed * 11 + i * 29) % 120)}" x2="${x + 20 + (seed % 30)}" y2="${300 + ((seed * 7 + i * 17) % 140)}" stroke="#223" stroke-width="${2 + (seed % 3)}"/>`,
    );
  }
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 720 540" width="${width}" height="${height}"><rect width="720" height="540" fill="#3a342e"/><polygon points="60,60 665,52 670,480 52,490" fill="#f4f1ea"/>${lines.join('')}</svg>`;
  return sharp(Buffer.from(svg)).jpeg({ quality }).toBuffer();
}

let grain = null;

/** The same with grain, so that it is some megabytes. */
export async function largePhotograph(seed) {
  const [width, height] = [2600, 1950];
  grain ??= await sharp({
    create: { width, height, channels: 3, background: '#808080', noise: { type: 'gaussian', mean: 128, sigma: 60 } },
  })
    .jpeg({ quality: 97 })
    .toBuffer();
  const base = await photograph(seed, width, height, 95);
  return sharp(base)
    .composite([{ input: grain, blend: 'soft-light' }])
    .jpeg({ quality: 96 })
    .toBuffer();
}

export const sha = (bytes) => createHash('sha256').update(bytes).digest('hex');

const PASSWORD = 'a-long-enough-one';

/** A teacher of this installation, by fetch alone. What is refused for a moment is asked again, as a page does. */
export class Teacher {
  /** `server` is its address, or what holds one: where that moves on to another server, so do the teacher's requests. */
  constructor(server) {
    this.server = server;
    this.email = `t${randomBytes(6).toString('hex')}@fennick.example`;
    this.cookie = '';
  }
  get origin() {
    return typeof this.server === 'string' ? this.server : this.server.origin;
  }
  fetch(path, init = {}) {
    return fetch(this.origin + path, {
      ...init,
      headers: { origin: this.origin, cookie: this.cookie, ...init.headers },
      signal: AbortSignal.timeout(120_000),
    });
  }
  send(method, path, value) {
    return this.fetch(path, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(value) });
  }
  async enter(what) {
    const answer = await this.send('POST', `/api/auth/${what}/email`, { email: this.email, password: PASSWORD, name: 'Trial' });
    if (!answer.ok) throw new Error(`${what} answered ${answer.status}: ${await answer.text()}`);
    this.cookie = answer.headers
      .getSetCookie()
      .map((c) => c.split(';')[0])
      .join('; ');
    return this;
  }
  async study(title) {
    const answer = await this.send('POST', '/api/studies', {
      title,
      master: 'An invented hand',
      kind: 'master',
      aim: 'study',
      medium: 'pen',
      about: '',
      classId: null,
      paperWidthMm: 297,
      paperHeightMm: 210,
    });
    return (await answer.json()).id;
  }
  form(bytes, name, fields) {
    const form = new FormData();
    for (const [k, v] of Object.entries(fields)) form.set(k, v);
    form.set('picture', new Blob([bytes], { type: 'image/jpeg' }), name);
    return form;
  }
  /** Hands a picture in, again and again until it has been accepted; gives its id and how often it was sent. */
  async handIn(path, bytes, name, fields, giveUp = () => false) {
    for (let sent = 1; ; sent++) {
      try {
        const answer = await this.fetch(path, { method: 'POST', body: this.form(bytes, name, fields) });
        if (answer.ok) return { id: (await answer.json()).id, sent };
        if (answer.status < 500)
          throw Object.assign(new Error(`handing in answered ${answer.status}: ${await answer.text()}`), { final: true });
        await answer.arrayBuffer();
      } catch (error) {
        if (error.final) throw error;
      }
      if (giveUp()) return { id: null, sent };
      await sleep(300 + 700 * Math.random());
    }
  }
  async json(path) {
    const answer = await this.fetch(path);
    if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
    return answer.json();
  }
  /** Waits until a study has no open work; gives its counts. */
  async idle(study, minutes) {
    const until = Date.now() + minutes * 60_000;
    for (;;) {
      const counts = await this.json(`/api/studies/${study}/progress`).catch(() => null);
      if (counts && counts.queued + counts.running === 0) return counts;
      if (Date.now() > until) return counts ?? { queued: -1, running: -1, done: 0, failed: 0, stopped: 0 };
      await sleep(1000);
    }
  }
}

export const quantile = (list, q) => {
  const sorted = [...list].sort((a, b) => a - b);
  return sorted.length ? sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] : 0;
};

/** Opens pages one after another while `going()`; gives how long each took, ms, and how many did not answer well. */
export async function openPages(teacher, study, going, pauseMs = 100) {
  const base = `/studies/${study}`;
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
  let bad = 0;
  for (let k = 0; going(); k++) {
    const asked = performance.now();
    const answer = await teacher.fetch(pages[k % pages.length]).catch(() => null);
    if (answer) await answer.arrayBuffer().catch(() => {});
    if (!answer?.ok) bad++;
    times.push(performance.now() - asked);
    await sleep(pauseMs);
  }
  return { times, bad };
}

/** What became of every accepted piece: missing, stuck, failed, or with other bytes than were sent. */
export async function account(teacher, study, accepted) {
  const pieces = await teacher.json(`/api/studies/${study}/pieces`);
  const there = new Map(pieces.map((p) => [p.id, p]));
  const out = { accepted: accepted.size, lost: 0, stuck: 0, failed: 0, altered: 0 };
  for (const [id, sum] of accepted) {
    const piece = there.get(id);
    if (!piece) {
      out.lost++;
      continue;
    }
    if (piece.state === 'waiting') out.stuck++;
    if (piece.state === 'failed' || piece.state === 'stopped') out.failed++;
    const answer = await teacher.fetch(`/api/pictures/${piece.photoId}`);
    if (sha(Buffer.from(await answer.arrayBuffer())) !== sum) out.altered++;
  }
  return out;
}
