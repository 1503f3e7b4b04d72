import { redirect } from 'next/navigation';
import { SignInForm } from '@/ui/account/SignInForm';
import { demoSignIn } from '@/server/accounts/demoAccount';
import { signUpKind } from '@/server/accounts/signUp';
import { signedIn } from '../session';
import { sayHere, titled } from '../voice';

export const generateMetadata = titled('signIn.title');

export default async function SignInPage() {
  if (await signedIn()) redirect('/studies');
  const say = await sayHere();
  return (
    <main className="flex min-h-screen flex-col items-center justify-center gap-10 p-6 lg:flex-row lg:gap-24">
      <div className="max-w-md">
        <h1 className="text-5xl font-semibold">{say('app.name')}</h1>
        <p className="mt-3 text-xl">{say('app.tagline')}</p>
      </div>
      <SignInForm demo={await demoSignIn()} signUp={await signUpKind()} />
    </main>
  );
}
