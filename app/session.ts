/** Knows the signed-in teacher of a page request. */
import { headers } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { teacherOf, Teacher } from '@/server/accounts/auth';
import { Told } from '@/server/errors';

export async function signedIn(): Promise<Teacher | null> {
  return teacherOf(await headers());
}

/** The teacher, or off to the sign-in page. */
export async function requireTeacher(): Promise<Teacher> {
  return (await signedIn()) ?? redirect('/sign-in');
}

/** What a page needs, or its 404 where that belongs to no one or to another teacher. */
export async function orNotFound<T>(work: Promise<T>): Promise<T> {
  try {
    return await work;
  } catch (error) {
    if (error instanceof Told && error.status === 404) notFound();
    throw error;
  }
}
