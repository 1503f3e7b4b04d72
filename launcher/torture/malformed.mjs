// Three hundred malformed files and bodies: none may end in a 500, none may take longer than twenty seconds.
import { randomBytes } from 'node:crypto';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { deflateSync } from 'node:zlib';
import { ROOT, say } from '../setup.mjs';
import { photograph, Teacher } from './school.mjs';

const sharp = createRequire(join(ROOT, 'package.json'))('sharp');

/** Any of a list, by number. */
const pick = (list, i) => list[i % list.length];

async function files() {
  const base = await photograph(7);
  const as = async (format) => sharp(base).toFormat(format).toBuffer();
  const whole = [base, await as('png'), await as('webp'), await as('tiff'), await as('gif')];
  const out = [
    Buffer.alloc(0),
    Buffer.from('words'),
    Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'),
    Buffer.from('%PDF-1.7'),
    Buffer.from('PK\u0003\u0004'),
  ];
  // A tiny file that claims to be enormous.
  const head = Buffer.from([0, 0, 0x75, 0x30, 0, 0, 0x75, 0x30, 8, 2, 0, 0, 0]);
  const chunk = (type, data) =>
    Buffer.concat([Buffer.from([0, 0, data.length >> 8, data.length & 255]), Buffer.from(type), data, Buffer.alloc(4)]);
  out.push(Buffer.concat([Buffer.from('89504e470d0a1a0a', 'hex'), chunk('IHDR', head), chunk('IDAT', deflateSync(Buffer.alloc(64)))]));
  for (let i = 0; out.length < 130; i++) {
    const of = pick(whole, i);
    if (i % 3 === 0) out.push(of.subarray(0, 1 + Math.floor(Math.random() * of.length)));
    else if (i % 3 === 1) {
      const bent = Buffer.from(of);
      for (let k = 0; k < 1 + (i % 40); k++) bent[Math.floor(Math.random() * bent.length)] = Math.floor(Math.random() * 256);
      out.push(bent);
    } else out.push(Buffer.concat([of.subarray(0, 40), randomBytes(3000)]));
  }
  return out;
}

const VALUES = [
  null,
  true,
  -1,
  1e308,
  '',
  'x'.repeat(5000),
  '\u0000',
  '‮',
  [],
  {},
  [[]],
  { a: { b: {} } },
  ['x'],
  '{"a":1}',
  '<script>',
  'NaN',
  0.1,
  "'; drop table works; --",
];
const FIELDS = [
  'title',
  'version',
  'points',
  'patch',
  'reading',
  'corners',
  'steps',
  'feature',
  'name',
  'direction',
  'template',
  'sentence',
  'kind',
  'note',
  'students',
  'label',
  'units',
  'hand',
  'work',
  'parts',
  'strength',
  'x',
  'w',
  'turn',
  'classId',
  'paperWidthMm',
  'subjectId',
  'ruleId',
  'met',
  'setAside',
];

function body(i) {
  const kind = i % 6;
  if (kind === 0) return '{"title":';
  if (kind === 1) return `{"title":${'['.repeat(20_000)}${']'.repeat(20_000)}}`;
  if (kind === 2) return JSON.stringify(pick(VALUES, i));
  const value = {};
  for (let k = 0; k < 12; k++) value[pick(FIELDS, i * 7 + k * 5)] = pick(VALUES, i * 3 + k * 11);
  return JSON.stringify(value);
}

export async function malformedTrial(origin) {
  say('Malformed files and bodies …');
  const teacher = await new Teacher(origin).enter('sign-up');
  const study = await teacher.study('Malformed');
  const { id: piece } = await teacher.handIn(`/api/studies/${study}/pieces`, await photograph(9), 'p.jpg', { kind: 'copy' });
  const { id: work } = await teacher.handIn(`/api/studies/${study}/works`, await photograph(8), 'w.jpg', {});
  const answers = {};
  const r = { sent: 0, broken: [], slowest: 0 };
  const ask = async (what, path, init) => {
    const begun = performance.now();
    const answer = await teacher
      .fetch(path, init)
      .catch((error) => ({ status: `no answer (${error.cause?.code ?? error.name})`, arrayBuffer: async () => {} }));
    await answer.arrayBuffer();
    const took = performance.now() - begun;
    r.sent++;
    r.slowest = Math.max(r.slowest, took);
    answers[answer.status] = (answers[answer.status] ?? 0) + 1;
    if (answer.status >= 500 || typeof answer.status === 'string') r.broken.push(`${what} ${path}: ${answer.status}`);
  };
  for (const [i, bytes] of (await files()).entries()) {
    const where = pick(['works', 'pieces', 'references'], i);
    await ask(`file ${i}`, `/api/studies/${study}/${where}`, {
      method: 'POST',
      body: teacher.form(bytes, pick(['a.jpg', 'b.png', '../../etc/passwd', '‮gpj.exe', ''], i), {
        kind: 'copy',
        attempt: pick(['1', '2.5', 'x', ''], i),
      }),
    });
  }
  const multipart = [
    'multipart/form-data',
    'multipart/form-data; boundary=',
    'multipart/form-data; boundary=zzz',
    'text/plain',
    'application/json',
    '',
  ];
  for (let i = 0; i < 24; i++)
    await ask(`multipart ${i}`, `/api/studies/${study}/works`, {
      method: 'POST',
      headers: { 'content-type': pick(multipart, i) },
      body: pick(
        [
          '',
          '--zzz',
          '--zzz\r\n\r\n--zzz--',
          '--zzz\r\nContent-Disposition: form-data; name="picture"; filename="a"\r\n\r\nabc',
          'x'.repeat(100_000),
        ],
        i,
      ),
    });
  const routes = [
    ['POST', '/api/studies'],
    ['PATCH', `/api/studies/${study}`],
    ['DELETE', `/api/studies/${study}`],
    ['POST', `/api/studies/${study}/rules`],
    ['POST', `/api/studies/${study}/edits`],
    ['PUT', `/api/studies/${study}/plan`],
    ['POST', `/api/studies/${study}/stand`],
    ['POST', `/api/studies/${study}/samples`],
    ['POST', `/api/studies/${study}/progress`],
    ['PATCH', `/api/works/${work}`],
    ['POST', `/api/works/${work}/crop`],
    ['POST', `/api/works/${work}/facts`],
    ['POST', `/api/works/${work}/pins`],
    ['PUT', `/api/landmarks/work/${work}`],
    ['PUT', `/api/pieces/${piece}/corners`],
    ['PUT', `/api/pieces/${piece}/notes`],
    ['POST', `/api/pieces/${piece}/notes`],
    ['POST', '/api/classes'],
    ['PUT', '/api/settings'],
    ['DELETE', '/api/account'],
    ['POST', '/api/auth/sign-in/email'],
    ['POST', '/api/auth/sign-up/email'],
  ];
  for (let i = 0; r.sent < 292; i++) {
    const [method, path] = pick(routes, i);
    await ask(`body ${i}`, path, { method, headers: { 'content-type': 'application/json' }, body: body(i) });
  }
  for (const path of [
    '/api/pictures/%zz',
    '/api/works/%',
    `/studies/${study}/compare?piece=%00`,
    `/api/pictures/${'x'.repeat(4000)}`,
    `/studies/${study}/marks?work=${encodeURIComponent("' or 1=1")}`,
    '/api/landmarks/blood/x',
    `/api/works/${work}/facts?id=`,
    `/api/studies/${study}/nothing`,
  ])
    await ask('address', path, {});
  const still = await teacher.json(`/api/studies/${study}/works`);
  say(
    `  ${r.sent} sent: ${Object.entries(answers)
      .map(([s, n]) => `${n} × ${s}`)
      .join(', ')}; slowest ${(r.slowest / 1000).toFixed(1)} s; the study still has its ${still.length >= 1 ? 'works' : 'nothing'}`,
  );
  for (const line of r.broken.slice(0, 20)) say(`  BROKEN ${line}`);
  return { ...r, answers };
}
