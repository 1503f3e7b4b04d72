import { Shell } from '@/ui/shared/Shell';
import { NewStudyForm } from '@/ui/studies/NewStudyForm';
import { listClasses } from '@/server/classes/classes';
import { requireTeacher } from '../../session';
import { titled } from '../../voice';

export const generateMetadata = titled('newStudy.title');

export default async function NewStudyPage() {
  const teacher = await requireTeacher();
  const classes = (await listClasses(teacher.id)).filter((c) => !c.archived);
  return (
    <Shell section="studies" teacher={teacher.name}>
      <NewStudyForm classes={classes.map((c) => ({ id: c.id, name: c.name, count: c.students.filter((s) => !s.left).length }))} />
    </Shell>
  );
}
