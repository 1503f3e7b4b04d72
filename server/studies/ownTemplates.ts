/** Knows the kinds of points a teacher has made: kept for all of a teacher's studies, changed with every set that is of them. */
import { and, asc, count, eq } from 'drizzle-orm';
import { typed, message } from '../../core/message';
import { checkedTemplate } from '../../core/formats/templateFile';
import type { OwnKinds } from '../../core/proportion/measures';
import { OwnTemplate, ownKey } from '../../core/proportion/ownTemplate';
import { inStudy } from '../accounts/ownership';
import { database, newId, type Querying } from '../database/connection';
import { unlessTaken } from '../database/failures';
import { logged, loggedRemoval } from '../edits/log';
import { conflict, notFound, sentence, UserError } from '../errors';
import { landmarkSets, ownTemplates } from '../schema';

export interface OwnTemplateView {
  id: string;
  template: OwnTemplate;
  version: number;
}

const MOST_TEMPLATES = 60;

const view = ({ id, template, version }: typeof ownTemplates.$inferSelect): OwnTemplateView => ({ id, template, version });

export const ownTemplatesOf = async (teacherId: string): Promise<OwnTemplateView[]> =>
  (await database().select().from(ownTemplates).where(eq(ownTemplates.teacherId, teacherId)).orderBy(asc(ownTemplates.name))).map(view);

/** The same as the core takes them, by what sets of them have as their template. */
export const kindsIn = (own: readonly OwnTemplateView[]): OwnKinds => new Map(own.map(({ id, template }) => [ownKey(id), template]));

export async function ownTemplateOf(teacherId: string, id: string, db: Querying = database()): Promise<OwnTemplateView> {
  const [row] = await db
    .select()
    .from(ownTemplates)
    .where(and(eq(ownTemplates.id, id), eq(ownTemplates.teacherId, teacherId)));
  if (!row) throw notFound('template');
  return view(row);
}

const about = (teacherId: string, studyId: string, id: string, label: 'template' | 'removeTemplate', name: string) => ({
  teacherId,
  studyId,
  subject: 'template',
  subjectId: id,
  label: message(`edits.${label}`, { name: typed(name) }),
});

const named = <T>(name: string, work: () => Promise<T>): Promise<T> =>
  unlessTaken(work, () => new UserError(409, sentence('sameTemplate', { name: typed(name) }), 'name'));

/** Keeps a new one; the study is where it was made, and where it is undone. */
export function addTemplate(teacherId: string, studyId: string, value: unknown): Promise<string> {
  const template = checkedTemplate(value);
  const id = newId();
  return inStudy(teacherId, studyId, async (tx) => {
    const [{ n }] = await tx.select({ n: count() }).from(ownTemplates).where(eq(ownTemplates.teacherId, teacherId));
    if (n >= MOST_TEMPLATES) throw new UserError(400, sentence('most.templates', { n: MOST_TEMPLATES }));
    const scope = { table: ownTemplates, where: eq(ownTemplates.id, id) };
    await named(template.name, () =>
      logged(tx, about(teacherId, studyId, id, 'template', template.name), [scope], () =>
        tx.insert(ownTemplates).values({ id, teacherId, name: template.name, template }),
      ),
    );
    return id;
  });
}

/** Changes one; points that have another name now are called so in every set, and points that are gone leave them. */
export function changeTemplate(
  teacherId: string,
  studyId: string,
  id: string,
  version: number,
  value: unknown,
  renamed: Readonly<Record<string, string>>,
): Promise<number> {
  const template = checkedTemplate(value);
  const names = new Set(template.points.map((p) => p.name));
  return inStudy(teacherId, studyId, async (tx) => {
    const before = await ownTemplateOf(teacherId, id, tx);
    if (before.version !== version) throw conflict('template');
    const where = eq(ownTemplates.id, id);
    const ofIt = eq(landmarkSets.template, ownKey(id));
    const now = (name: string) => (Object.hasOwn(renamed, name) ? renamed[name] : name);
    await named(template.name, () =>
      logged(
        tx,
        about(teacherId, studyId, id, 'template', template.name),
        [
          { table: ownTemplates, where },
          { table: landmarkSets, where: ofIt },
        ],
        async () => {
          await tx
            .update(ownTemplates)
            .set({ name: template.name, template, version: version + 1 })
            .where(where);
          for (const set of await tx.select().from(landmarkSets).where(ofIt)) {
            const points = Object.fromEntries(
              Object.entries(set.points).flatMap(([n, at]): [string, [number, number]][] => (names.has(now(n)) ? [[now(n), at]] : [])),
            );
            const hidden = (set.hidden ?? []).map(now).filter((n) => names.has(n));
            const again =
              set.again && Object.fromEntries(Object.entries(set.again).flatMap(([n, p]) => (names.has(now(n)) ? [[now(n), p]] : [])));
            const same = JSON.stringify([points, hidden]) === JSON.stringify([set.points, set.hidden ?? []]);
            if (same) continue;
            await tx
              .update(landmarkSets)
              .set({ points, hidden: hidden.length ? hidden : null, again, version: set.version + 1, updatedAt: new Date() })
              .where(eq(landmarkSets.id, set.id));
          }
        },
      ),
    );
    return version + 1;
  });
}

export function removeTemplate(teacherId: string, studyId: string, id: string): Promise<void> {
  return inStudy(teacherId, studyId, async (tx) => {
    const { template } = await ownTemplateOf(teacherId, id, tx);
    const [{ n }] = await tx
      .select({ n: count() })
      .from(landmarkSets)
      .where(eq(landmarkSets.template, ownKey(id)));
    if (n) throw new UserError(409, sentence('templateInUse', { n }));
    await loggedRemoval(tx, about(teacherId, studyId, id, 'removeTemplate', template.name), {
      table: ownTemplates,
      where: eq(ownTemplates.id, id),
    });
  });
}
