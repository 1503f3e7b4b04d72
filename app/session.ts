/** Knows the signed-in teacher of a page request. */
import { headers } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { cache } from 'react';
import { teacherOf, Teacher } from '@/server/accounts/auth';
import { UserError } from '@/server/errors';
import { benchOf } from '@/server/studies/studies';

/** Looked up once a request, however many parts of a page ask. */
export const signedIn = cache(async (): Promise<Teacher | null> => teacherOf(await headers()));

/** The name of the theme the teacher chose; undefined for what the machine has, and while nobody can be asked. */
export async function themeHere(): Promise<string | undefined> {
  const theme = await signedIn().then(
    (teacher) => teacher?.settings.theme,
    () => undefined,
  );
  return theme && theme !== 'auto' ? `oldhand-${theme}` : undefined;
}

/** The teacher, or off to the sign-in page. */
export async function requireTeacher(): Promise<Teacher> {
  return (await signedIn()) ?? redirect('/sign-in');
}

/** A study of the teacher's with its rail and the settings, looked up once a request; 404 where it is nobody's or another's. */
export const openStudy = cache(async (id: string) => {
  const teacher = await requireTeacher();
  try {
    return { teacher, ...(await benchOf(teacher.id, id)) };
  } catch (error) {
    if (error instanceof UserError && error.status === 404) notFound();
    throw error;
  }
});
