/** Knows how sign-in and sign-up are let through to the accounts library: from own pages, not too often, where allowed. */
import { auth } from '../accounts/auth';
import { checkTries } from '../accounts/limits';
import { checkSignUp } from '../accounts/signUp';
import { readJson, refuse, textOf } from './http';
import { checkOrigin } from '../origin';

/** What is being tried, by the address as it reads once decoded: every way in counts, however it is written. */
function triedAt(url: string): 'sign-in' | 'sign-up' | null {
  const path = decodeURIComponent(new URL(url).pathname);
  if (/\/sign-in\b/.test(path)) return 'sign-in';
  return /\/sign-up\b/.test(path) ? 'sign-up' : null;
}

function fieldsOf(text: string): { email: string; code: string } {
  const value = readJson(text) as { email?: unknown; code?: unknown } | null;
  const plain = (v: unknown) => (typeof v === 'string' ? v : '');
  return { email: plain(value?.email), code: plain(value?.code) };
}

export async function accountAnswer(request: Request): Promise<Response> {
  try {
    checkOrigin(request);
    if (request.method === 'GET') return await auth().handler(request);
    const text = await textOf(request);
    const what = triedAt(request.url);
    if (what) {
      const { email, code } = fieldsOf(text);
      await checkTries(what, email, request.headers);
      if (what === 'sign-up') await checkSignUp(code);
    }
    const answer = await auth().handler(
      new Request(request.url, { method: request.method, headers: request.headers, body: text || undefined }),
    );
    answer.headers.set('cache-control', 'no-store');
    return answer;
  } catch (error) {
    return refuse(error);
  }
}
