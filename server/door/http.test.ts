import { number, object, string } from 'yup';
import { CoreError } from '../../core/errors';
import { teacherOf } from '../accounts/auth';
import { conflict, Told } from '../errors';
import { body, handle } from './http';
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
  expect(await run(async ({ teacher, params }) => [teacher.id, params.study])).toEqual({ status: 200, json: ['t1', 's1'] }); // prettier-ignore
  expect(await run(async () => undefined)).toEqual({ status: 200, json: { ok: true } });
});

test('without a session nothing is looked at', async () => {
  signedIn.mockResolvedValue(null);
  const work = jest.fn();
  expect(await run(work)).toEqual({ status: 401, json: { error: 'Sign in first.', field: null } });
  expect(work).not.toHaveBeenCalled();
});

test('a change from another site is refused, a look is not; no origin counts by what the browser says of it', async () => {
  const work = async () => 'done';
  expect((await run(work, send({}, { origin: 'http://elsewhere.example' }))).status).toBe(400);
  expect((await run(work, request({}, { origin: 'http://elsewhere.example' }))).status).toBe(200);
  expect((await run(work, send({}, { 'sec-fetch-site': 'cross-site' }))).status).toBe(400);
  expect((await run(work, send({}, { 'sec-fetch-site': 'same-origin' }))).status).toBe(200);
  expect((await run(work, send({}, { origin: 'http://localhost:4170' }))).status).toBe(400);
});

test('each kind of error becomes its answer; what nobody foresaw tells nothing of the inside', async () => {
  const failing = (error: unknown) => run(() => Promise.reject(error));
  expect(await failing(new Told(413, 'Too large.', 'picture'))).toEqual({ status: 413, json: { error: 'Too large.', field: 'picture' } }); // prettier-ignore
  expect((await failing(conflict('This rule'))).status).toBe(409);
  expect(await failing(new RangeError('patch: outside'))).toEqual({ status: 400, json: { error: 'patch: outside', field: null } }); // prettier-ignore
  const inside = await failing(new Error("ER_ACCESS_DENIED for 'oldhand'@'127.0.0.1'"));
  expect(inside.status).toBe(500);
  expect(inside.json.error).not.toMatch(/oldhand|ACCESS/);
  expect(inside.json.error).toMatch(/saved before is safe/);
});

test('a body is checked, its unknown fields dropped, its first fault named by field', async () => {
  const schema = object({ title: string().required('Give it a name.'), width: number().min(10, 'At least 10 mm.') });
  const read = (json: unknown) => run(async ({ request: r }) => body(r, schema), send(json));
  expect((await read({ title: 'Ferry', width: 20, owner: 'someone else' })).json).toEqual({
    title: 'Ferry',
    width: 20,
  });
  expect(await read({ width: 20 })).toEqual({ status: 400, json: { error: 'Give it a name.', field: 'title' } });
  expect((await read({ title: 'Ferry', width: 2 })).json).toEqual({ error: 'At least 10 mm.', field: 'width' });
  expect((await read('{"title":')).json.error).toBe('The request holds no JSON.');
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
  const taken = await upload(sendForm([['picture', new Blob(['abc']), 'sheet.png'], ['title', 'Ferry']])); // prettier-ignore
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
  await expect(upload(huge)).rejects.toMatchObject({ status: 413, message: expect.stringMatching(/“big\.jpg” is larger than 40 MB/) }); // prettier-ignore
  // Not all of the 400 MB was taken in before it was refused.
  expect(sent).toBeLessThan(80);
});

test('numbers from a form: empty is none, words and what is out of bounds are named', () => {
  expect(fieldNumber({ w: ' 210.5 ' }, 'w', 10, 5000)).toBe(210.5);
  expect(fieldNumber({ w: ' ' }, 'w', 10, 5000)).toBeNull();
  expect(fieldNumber({}, 'w', 10, 5000)).toBeNull();
  for (const text of ['wide', '9', '5001', 'Infinity', 'NaN'])
    expect(() => fieldNumber({ w: text }, 'w', 10, 5000)).toThrow('“w” must be a number from 10 to 5000.');
});
