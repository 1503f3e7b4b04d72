/** Teachers, classes and studies for server tests, each new, in the run's own database. */
import { drawnPicture } from './pictures';
import { NEW_STUDY } from './study';
import { closeDatabase, database, newId } from '../../server/database/connection';
import { sweepPictures } from '../../server/pictures/dropping';
import { removeAccount } from '../../server/removal/removal';
import { user } from '../../server/schema';
import { createClass } from '../../server/classes/classes';
import { createStudy, StudyFields } from '../../server/studies/studies';
import { endThreads } from '../../server/threads/threads';

export async function newTeacher(): Promise<string> {
  const id = newId();
  const now = new Date();
  await database()
    .insert(user)
    .values({ id, name: 'A teacher', email: `${id}@fennick.example`, createdAt: now, updatedAt: now });
  return id;
}

export const newStudy = (teacherId: string, fields: Partial<StudyFields> = {}): Promise<string> =>
  createStudy(teacherId, { ...NEW_STUDY, ...fields });

export const newClass = (teacherId: string, names = ['Ada', 'Bo', 'Cleo']): Promise<string> =>
  createClass(
    teacherId,
    '7A',
    'Fennick Lane School',
    names.map((firstName) => ({ firstName, initial: 'M' })),
  );

/** A drawn sheet's bytes; another spacing is another picture. */
export const sheetBytes = (spacing = 14, width = 480, height = 340): Promise<Buffer> =>
  drawnPicture(width, height, spacing).png().toBuffer();

/** Deletes every account with all that is theirs: for tests that count the whole database, or work through its whole queue. */
export async function emptySchool(): Promise<void> {
  const everybody = await database().select({ id: user.id, email: user.email }).from(user);
  for (const { id, email } of everybody) await removeAccount(id, email);
  await sweepPictures(new Date(Date.now() + 7_200_000));
}

/** Lets go of the database and the worker threads that this file's modules hold. */
export async function leave(): Promise<void> {
  await closeDatabase();
  await endThreads();
}
