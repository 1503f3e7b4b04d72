import { redirect } from 'next/navigation';
import { Drawings } from '@/ui/shared/Drawings';
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
    <main className="grid min-h-screen lg:grid-cols-[minmax(0,1.25fr)_minmax(24rem,1fr)]">
      <Drawings className="max-lg:max-h-[34vh] max-lg:content-start" />
      <div className="flex flex-col justify-center gap-8 p-6 lg:px-16">
        <div className="max-w-md">
          <h1 className="text-5xl font-semibold">{say('app.name')}</h1>
          <p className="mt-3 text-xl">{say('app.tagline')}</p>
        </div>
        <SignInForm demo={await demoSignIn()} signUp={await signUpKind()} />
      </div>
    </main>
  );
}
