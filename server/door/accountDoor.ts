/** Knows how sign-in and sign-up are let through to the accounts library: from own pages, not too often, where allowed. */
import { auth } from '../accounts/auth';
import { checkTries } from '../accounts/limits';
import { checkSignUp } from '../accounts/signUp';
import { Told } from '../errors';
import { refuse, textOf } from './http';
import { checkOrigin } from '../origin';

const LIMITED = { '/sign-in/email': 'sign-in', '/sign-up/email': 'sign-up' } as const;

function fieldsOf(text: string): { email: string; code: string } {
  let value: { email?: unknown; code?: unknown } | null;
  try {
    value = JSON.parse(text) as typeof value;
  } catch {
    throw new Told(400, 'The request holds no JSON.');
  }
  const plain = (v: unknown) => (typeof v === 'string' ? v : '');
  return { email: plain(value?.email), code: plain(value?.code) };
}

export async function accountAnswer(request: Request): Promise<Response> {
  try {
    checkOrigin(request);
    const path = new URL(request.url).pathname.replace(/^\/api\/auth/, '') as keyof typeof LIMITED;
    if (request.method === 'GET') return await auth().handler(request);
    const text = await textOf(request);
    const what = LIMITED[path];
    if (what) {
      const { email, code } = fieldsOf(text);
      await checkTries(what, email, request.headers);
      if (what === 'sign-up') await checkSignUp(code);
    }
    const answer = await auth().handler(new Request(request.url, { method: request.method, headers: request.headers, body: text || undefined })); // prettier-ignore
    answer.headers.set('cache-control', 'no-store');
    return answer;
  } catch (error) {
    return refuse(error);
  }
}
