'use client';
import { send } from './request';
import { useSay } from '../words/Words';

export function SignOut() {
  const say = useSay();
  return (
    <button
      type="button"
      className="link"
      onClick={async () => {
        await send('POST', '/api/auth/sign-out', {}).catch(() => null);
        window.location.assign('/sign-in');
      }}
    >
      {say('app.nav.signOut')}
    </button>
  );
}
