/** How often somebody may try to come in, and who may make an account. */
import { emptySchool, leave, newTeacher } from '../../tests/support/school';
import { database } from '../database/connection';
import { rateLimit } from '../schema';
import { checkTries } from './limits';
import { checkSignUp, signUpKind } from './signUp';

afterAll(leave);
beforeEach(() => database().delete(rateLimit));
afterEach(() => {
  jest.restoreAllMocks();
  delete process.env.OLDHAND_PROXY_HEADER;
  delete process.env.OLDHAND_SIGN_UP;
});

const from = (address: string) => new Headers({ 'x-forwarded-for': address });
const tries = async (many: number, email: (i: number) => string, headers: (i: number) => Headers): Promise<number> => {
  const all = await Promise.allSettled(Array.from({ length: many }, (_, i) => checkTries('sign-in', email(i), headers(i))));
  return all.filter((r) => r.status === 'fulfilled').length;
};

test('eight tries a minute at one e-mail, however it is written and whatever address is claimed', async () => {
  const written = ['ines@fennick.example', 'INES@fennick.example', ' ines@fennick.example'];
  expect(
    await tries(
      14,
      (i) => written[i % 3],
      (i) => from(`6.6.6.${i}`),
    ),
  ).toBe(8);
  await expect(checkTries('sign-in', 'ines@fennick.example', new Headers())).rejects.toMatchObject({
    status: 429,
    message: expect.stringMatching(/Wait \d+ seconds/),
  });
  expect(
    await tries(
      1,
      () => 'bo@fennick.example',
      () => new Headers(),
    ),
  ).toBe(1);
  const later = Date.now() + 61_000;
  jest.spyOn(Date, 'now').mockReturnValue(later);
  expect(
    await tries(
      1,
      () => 'ines@fennick.example',
      () => new Headers(),
    ),
  ).toBe(1);
});

test('behind a configured proxy one address has its own measure too, whichever e-mails it tries', async () => {
  process.env.OLDHAND_PROXY_HEADER = 'x-forwarded-for';
  expect(
    await tries(
      70,
      (i) => `t${i}@fennick.example`,
      (i) => from(`1.2.3.${i}, 10.0.0.9`),
    ),
  ).toBe(60);
  expect(
    await tries(
      1,
      () => 'other@fennick.example',
      () => from('10.0.0.8'),
    ),
  ).toBe(1);
});

test('accounts are open, by a code, or closed; the first teacher may always', async () => {
  await emptySchool();
  process.env.OLDHAND_SIGN_UP = 'closed';
  expect(await signUpKind()).toBe('open');
  await checkSignUp('');
  await newTeacher();
  expect(await signUpKind()).toBe('closed');
  await expect(checkSignUp('')).rejects.toMatchObject({ status: 403 });
  process.env.OLDHAND_SIGN_UP = 'code:reed-pen';
  expect(await signUpKind()).toBe('code');
  await checkSignUp(' reed-pen ');
  for (const wrong of ['', 'reed-pe', 'reed-pens', 'REED-PEN'])
    await expect(checkSignUp(wrong)).rejects.toMatchObject({ status: 403, field: 'code' });
  process.env.OLDHAND_SIGN_UP = 'code:x';
  await expect(signUpKind()).rejects.toMatchObject({ message: expect.stringMatching(/OLDHAND_SIGN_UP must be/) });
  delete process.env.OLDHAND_SIGN_UP;
  expect(await signUpKind()).toBe('open');
});
