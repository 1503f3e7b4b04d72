'use client';
import { text } from '../text/en';
import { send } from './request';

export function SignOut() {
  return (
    <button
      type="button"
      className="link"
      onClick={async () => {
        await send('POST', '/api/auth/sign-out', {}).catch(() => null);
        window.location.assign('/sign-in');
      }}
    >
      {text.nav.signOut}
    </button>
  );
}
