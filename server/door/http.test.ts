import { saying } from '../validation';
import { message } from '../../core/message';
import { number, object, string } from 'yup';
import { CoreError } from '../../core/errors';
import { teacherOf } from '../accounts/auth';
import { conflict, UserError } from '../errors';
import { body, handle } from './http';
import { addressOf } from '../origin';
import { fieldNumber, readUpload as upload, takingIn } from './uploads';

jest.mock('../accounts/auth', () => ({ teacherOf: jest.fn() }));
jest.mock('../log', () => ({ log: { error: jest.fn(), warn: jest.fn() } }));

const signedIn = teacherOf as jest.Mock;
beforeEach(() => signedIn.mockResolvedValue({ id: 't1', name: 'Ines', email: 'ines@fennick.example' }));

const HOST = 'http://127.0.0.1:4170';
const request = (init: RequestInit = {}, headers: Record<string, string> = {}) =>
  new Request(`${HOST}/api/x`, { ...init, headers: { host: '127.0.0.1:4170', ...headers } });
const send = (json: unknown, headers: Record<string, string> = { origin: HOST }) =>
  request({ method: 'POST', body: typeof json === 'string' ? json : JSON.stringify(json) }, headers);
const run = async (work: Parameters<typeof handle>[0], r = request()) => {
  const answer = await handle(work)(r, { params: Promise.resolve({ study: 's1' }) });
  return { status: answer.status, json: (await answer.json()) as { error?: string; field?: string | null } };
};

test('a handler gets the teacher and the path’s names; nothing given back is ok', async () => {
  expect(await run(async ({ teacher, params }) => [teacher.id, params.study])).toEqual({ status: 200, json: ['t1', 's1'] });
  expect(await run(async () => undefined)).toEqual({ status: 200, json: { ok: true } });
});

test('without a session nothing is looked at', async () => {
  signedIn.mockResolvedValue(null);
  const work = jest.fn();
  expect(await run(work)).toEqual({ status: 401, json: { error: 'Sign in first.', said: message('errors.signInFirst'), field: null } });
  expect(work).not.toHaveBeenCalled();
});

test('a change counts from the configured address alone, by number or name; a look from anywhere', async () => {
  const work = async () => 'done';
  const from = async (headers: Record<string, string>) => (await run(work, send({}, headers))).status;
  expect(await from({ origin: HOST })).toBe(200);
  expect(await from({ origin: 'http://localhost:4170' })).toBe(200);
  expect(await from({ origin: 'http://127.0.0.1:4171' })).toBe(403);
  // Another page whose browser was told that its name leads here: the Host header matches, the configured address does not.
  expect(await from({ origin: 'http://elsewhere.example', host: 'elsewhere.example' })).toBe(403);
  // A proxy that passes no Host changes nothing.
  expect(await from({ origin: HOST, host: 'backend:9000' })).toBe(200);
  for (const origin of ['null', 'not an address', 'http://127.0.0.1:4170.elsewhere.example']) expect(await from({ origin })).toBe(403);
  expect(await from({})).toBe(403);
  expect((await run(work, request({}, { origin: 'http://elsewhere.example' }))).status).toBe(200);
});

test('behind the school’s own address only that one counts', async () => {
  process.env.OLDHAND_ORIGIN = 'https://art.fennick.example';
  try {
    const work = async () => 'done';
    expect((await run(work, send({}, { origin: 'https://art.fennick.example' }))).status).toBe(200);
    expect((await run(work, send({}, { origin: 'http://art.fennick.example' }))).status).toBe(403);
    expect((await run(work, send({}, { origin: HOST }))).status).toBe(403);
  } finally {
    delete process.env.OLDHAND_ORIGIN;
  }
});

test('an address is believed only from a configured proxy, and of what it says only the entry it added', () => {
  const headers = new Headers({ 'x-forwarded-for': '6.6.6.6, 10.0.0.7' });
  expect(addressOf(headers)).toBeNull();
  process.env.OLDHAND_PROXY_HEADER = 'x-forwarded-for';
  try {
    expect(addressOf(headers)).toBe('10.0.0.7');
    expect(addressOf(new Headers())).toBeNull();
  } finally {
    delete process.env.OLDHAND_PROXY_HEADER;
  }
});

test('each kind of error becomes its answer; what nobody foresaw tells nothing of the inside', async () => {
  const failing = (error: unknown) => run(() => Promise.reject(error));
  const large = message('errors.picture.largeUnnamed');
  expect(await failing(new UserError(413, large, 'picture'))).toEqual({
    status: 413,
    json: { error: expect.stringMatching(/^This picture is larger than 40 MB/), said: large, field: 'picture' },
  });
  expect((await failing(conflict('rule'))).status).toBe(409);
  expect(await failing(new CoreError('polygon'))).toMatchObject({
    status: 400,
    json: { error: expect.stringMatching(/^polygon: /), field: null },
  });
  // What the engine says of itself is nobody's business.
  expect((await failing(new RangeError('Maximum call stack size exceeded'))).json.error).not.toMatch(/stack/);
  const gone = await failing(Object.assign(new Error('read ECONNRESET'), { code: 'ECONNRESET' }));
  expect([gone.status, gone.json.error]).toEqual([503, expect.stringMatching(/saved before is safe/)]);
  const full = await failing(new Error('Failed query', { cause: Object.assign(new Error('x'), { code: 'ER_RECORD_FILE_FULL' }) }));
  expect([full.status, full.json.error]).toEqual([507, expect.stringMatching(/disk .* almost full/)]);
  const inside = await failing(new Error("ER_ACCESS_DENIED for 'oldhand'@'127.0.0.1'"));
  expect(inside.status).toBe(500);
  expect(inside.json.error).not.toMatch(/oldhand|ACCESS/);
  expect(inside.json.error).toMatch(/saved before is safe/);
});

test('a body is checked, its unknown fields dropped, its first fault named by field', async () => {
  const schema = object({ title: string().required(saying('study.title')), width: number().min(10) });
  const read = (json: unknown) => run(async ({ request: r }) => body(r, schema), send(json));
  expect((await read({ title: 'Ferry', width: 20, owner: 'someone else' })).json).toEqual({
    title: 'Ferry',
    width: 20,
  });
  expect(await read({ width: 20 })).toMatchObject({
    status: 400,
    json: { error: 'Give the study a name.', said: { key: 'errors.study.title' }, field: 'title' },
  });
  expect((await read({ title: 'Ferry', width: 2 })).json).toMatchObject({ error: '“width” must be at least 10.', field: 'width' });
  expect((await read('{"title":')).json.error).toBe('The request holds no JSON.');
  for (const json of ['[]', 'null', '7']) expect((await read(json)).status).toBe(400);
  const large = await read(`{"title":"${'x'.repeat(300_000)}"}`);
  expect([large.status, large.json.error]).toEqual([413, expect.stringMatching(/256 kB/)]);
  // Nested deeper than any engine's stack: refused as what it is, not as the engine's own error.
  const deep = await read(`{"title":${'['.repeat(100_000)}${']'.repeat(100_000)}}`);
  expect([deep.status, deep.json.error]).toEqual([400, expect.stringMatching(/nested deeper/)]);
});

// The standard Request leaves the multipart header to itself.
const sendForm = (parts: [string, string | Blob, string?][]) => {
  const data = new FormData();
  for (const [name, value, file] of parts)
    if (typeof value === 'string') data.append(name, value);
    else data.append(name, value, file);
  return new Request(`${HOST}/api/x`, { method: 'POST', body: data });
};

test('an upload comes with its name and fields; none, or a broken one, is told', async () => {
  const taken = await upload(
    sendForm([
      ['picture', new Blob(['abc']), 'sheet.png'],
      ['title', 'Ferry'],
    ]),
  );
  expect([taken.bytes.toString(), taken.name, taken.fields]).toEqual(['abc', 'sheet.png', { title: 'Ferry' }]);
  await expect(upload(sendForm([['title', 'Ferry']]))).rejects.toMatchObject({ status: 400, field: 'picture' });
  await expect(upload(request({ method: 'POST', body: 'abc' }))).rejects.toMatchObject({ field: 'picture' });
  const cut = new Request(`${HOST}/api/x`, {
    method: 'POST',
    headers: { 'content-type': 'multipart/form-data; boundary=zzz' },
    body: '--zzz\r\nContent-Disposition: form-data; name="picture"; filename="a.png"\r\n\r\nabc',
  });
  await expect(upload(cut)).rejects.toMatchObject({ message: expect.stringMatching(/broke off/) });
});

test('an upload is cut off as soon as it grows beyond 40 MB', async () => {
  let sent = 0;
  const head = '--zzz\r\nContent-Disposition: form-data; name="picture"; filename="big.jpg"\r\n\r\n';
  const stream = new ReadableStream<Uint8Array>({
    start: (c) => c.enqueue(Buffer.from(head)),
    pull: (c) => {
      sent += 1;
      if (sent > 400) c.close();
      else c.enqueue(new Uint8Array(1024 * 1024));
    },
  });
  const huge = new Request(`${HOST}/api/x`, {
    method: 'POST',
    headers: { 'content-type': 'multipart/form-data; boundary=zzz' },
    body: stream,
    duplex: 'half',
  } as RequestInit);
  await expect(upload(huge)).rejects.toMatchObject({ status: 413, message: expect.stringMatching(/“big\.jpg” is larger than 40 MB/) });
  // Not all of the 400 MB was taken in before it was refused.
  expect(sent).toBeLessThan(80);
});

const multipart = (text: string | Buffer, type = 'multipart/form-data; boundary=zzz', more: Record<string, string> = {}) =>
  new Request(`${HOST}/api/x`, { method: 'POST', headers: { 'content-type': type, ...more }, body: text as BodyInit });
const part = (name: string, file?: string) =>
  `--zzz\r\nContent-Disposition: form-data; name="${name}"${file ? `; filename="${file}"` : ''}\r\n\r\n`;

test('exactly 40 MB are taken, one byte more is not, and 41 MB are told before they are read', async () => {
  const forty = Buffer.alloc(40 * 1024 * 1024, 1);
  const whole = (bytes: Buffer) =>
    multipart(Buffer.concat([Buffer.from(part('picture', 'big.jpg')), bytes, Buffer.from('\r\n--zzz--\r\n')]));
  expect((await upload(whole(forty))).bytes.length).toBe(forty.length);
  await expect(upload(whole(Buffer.concat([forty, Buffer.from('x')])))).rejects.toMatchObject({ status: 413 });
  const announced = multipart('', undefined, { 'content-length': String(42 * 1024 * 1024) });
  const store = jest.fn();
  await expect(takingIn(announced, store)).rejects.toMatchObject({ status: 413, message: expect.stringMatching(/larger than 40 MB/) });
  expect(announced.bodyUsed).toBe(false);
});

test('a missing boundary and a second file are told as what they are', async () => {
  await expect(upload(multipart('x', 'multipart/form-data'))).rejects.toMatchObject({
    status: 400,
    message: expect.stringMatching(/no boundary/),
  });
  const two = `${part('picture', 'a.png')}abc\r\n${part('picture', 'b.png')}def\r\n--zzz--\r\n`;
  await expect(upload(multipart(two))).rejects.toMatchObject({ status: 400, message: expect.stringMatching(/one picture at a time/) });
});

test('a fifth upload at once is refused before it is read, and may come again in a second', async () => {
  const one = () => sendForm([['picture', new Blob(['abc']), 'a.png']]);
  let go = () => {};
  const held = new Promise<void>((done) => (go = done));
  const under = Array.from({ length: 4 }, () => takingIn(one(), () => held));
  const fifth = one();
  await expect(takingIn(fifth, async () => 'stored')).rejects.toMatchObject({ status: 503, retryAfter: 1 });
  expect(fifth.bodyUsed).toBe(false);
  go();
  await Promise.all(under);
  expect(await takingIn(one(), async ({ name }) => name)).toBe('a.png');
  // One that fails gives its place back too.
  for (let i = 0; i < 5; i++) await expect(takingIn(one(), () => Promise.reject(new Error('x')))).rejects.toThrow('x');
});

test('while the disk is almost full uploads are refused with 507, before they are read', async () => {
  Object.assign(process.env, { OLDHAND_DATA: '/tmp', OLDHAND_LEAST_FREE_MB: '1000000000' });
  try {
    const one = sendForm([['picture', new Blob(['abc']), 'a.png']]);
    await expect(takingIn(one, async () => 'stored')).rejects.toMatchObject({ status: 507, field: 'picture' });
    expect(one.bodyUsed).toBe(false);
    process.env.OLDHAND_LEAST_FREE_MB = '1';
    expect(await takingIn(sendForm([['picture', new Blob(['abc']), 'a.png']]), async () => 'stored')).toBe('stored');
  } finally {
    delete process.env.OLDHAND_DATA;
    delete process.env.OLDHAND_LEAST_FREE_MB;
  }
});

test('numbers from a form: empty is none, words and what is out of bounds are named', () => {
  expect(fieldNumber({ w: ' 210.5 ' }, 'w', 10, 5000)).toBe(210.5);
  expect(fieldNumber({ w: ' ' }, 'w', 10, 5000)).toBeNull();
  expect(fieldNumber({}, 'w', 10, 5000)).toBeNull();
  expect(fieldNumber({ n: '3' }, 'n', 1, 99, true)).toBe(3);
  expect(() => fieldNumber({ n: '2.5' }, 'n', 1, 99, true)).toThrow('“n” must be a whole number from 1 to 99.');
  for (const text of ['wide', '9', '5001', 'Infinity', 'NaN'])
    expect(() => fieldNumber({ w: text }, 'w', 10, 5000)).toThrow('“w” must be a number from 10 to 5,000.');
});
