import { ClassList } from '@/ui/classes/ClassList';
import { Shell } from '@/ui/shared/Shell';
import { listClasses } from '@/server/classes/classes';
import { requireTeacher } from '../session';
import { titled } from '../voice';

export const generateMetadata = titled('classes.title');

export default async function ClassesPage() {
  const teacher = await requireTeacher();
  return (
    <Shell section="classes" teacher={teacher.name} undo>
      <ClassList classes={await listClasses(teacher.id)} />
    </Shell>
  );
}
