'use client';
import { useState } from 'react';
import { Message, message } from '@/core/message';
import { Field } from '../shared/Field';
import { Notice } from '../shared/Notice';
import { problemOf, RequestError, send } from '../shared/request';
import { useHydrated } from '../shared/useHydrated';
import { useSay } from '../words/Words';

export function SignInForm({
  demo,
  signUp,
}: {
  demo: { email: string; password: string } | null;
  /** Who may make an account here. */
  signUp: 'open' | 'code' | 'closed';
}) {
  const say = useSay();
  const [fresh, setFresh] = useState(false);
  const [problem, setProblem] = useState<Message | null>(null);
  const [busy, setBusy] = useState(false);
  const hydrated = useHydrated();

  async function enter(path: string, value: Record<string, string>, to: string) {
    setBusy(true);
    setProblem(null);
    try {
      await send('POST', path, value);
      window.location.assign(to);
    } catch (error) {
      const status = error instanceof RequestError ? error.status : 0;
      setProblem(
        status === 429 || status === 403 || status === 503
          ? problemOf(error)
          : message(status === 0 || status >= 500 ? 'shared.lost' : path.includes('sign-up') ? 'signIn.taken' : 'signIn.wrong'),
      );
      setBusy(false);
    }
  }

  return (
    <form
      method="post"
      className="flex w-full max-w-sm flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        const form = new FormData(event.currentTarget);
        const email = String(form.get('email'));
        const password = String(form.get('password'));
        void enter(
          fresh ? '/api/auth/sign-up/email' : '/api/auth/sign-in/email',
          fresh ? { email, password, name: String(form.get('name')), code: String(form.get('code') ?? '') } : { email, password },
          '/studies',
        );
      }}
    >
      <h2 className="text-2xl font-semibold">{fresh ? say('signIn.newTitle') : say('signIn.title')}</h2>
      {fresh && (
        <Field label={say('signIn.yourName')}>
          <input name="name" required maxLength={100} autoComplete="name" className="input w-full" />
        </Field>
      )}
      {fresh && signUp === 'code' && (
        <Field label={say('signIn.code')}>
          <input name="code" required maxLength={100} autoComplete="off" className="input w-full" />
        </Field>
      )}
      <Field label={say('signIn.email')}>
        <input name="email" type="email" required maxLength={180} autoComplete="username" className="input w-full" />
      </Field>
      <Field label={say('signIn.password')}>
        <input
          name="password"
          type="password"
          required
          minLength={10}
          maxLength={128}
          autoComplete={fresh ? 'new-password' : 'current-password'}
          className="input w-full"
        />
      </Field>
      <Notice said={problem} />
      <button className="btn btn-primary" disabled={busy || !hydrated}>
        {fresh ? say('signIn.create') : say('signIn.go')}
      </button>
      {signUp === 'closed' ? (
        <p className="text-sm">{say('signIn.closed')}</p>
      ) : (
        <button type="button" className="link self-start" onClick={() => setFresh(!fresh)}>
          {fresh ? say('signIn.toOld') : say('signIn.toNew')}
        </button>
      )}
      {demo && (
        <button
          type="button"
          className="btn btn-outline"
          disabled={busy || !hydrated}
          onClick={() => void enter('/api/auth/sign-in/email', demo, '/studies?demo=1')}
        >
          {say('signIn.demo')}
        </button>
      )}
      <p className="text-sm">{say('signIn.local')}</p>
    </form>
  );
}
