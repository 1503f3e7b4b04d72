import { redirect } from 'next/navigation';
import { signedIn } from './session';

export default async function Home() {
  redirect((await signedIn()) ? '/studies' : '/sign-in');
}
