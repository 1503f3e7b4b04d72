import { Shell } from '@/ui/shared/Shell';
import { NewStudyForm } from '@/ui/studies/NewStudyForm';
import { classesToChoose } from '@/server/classes/classes';
import { requireTeacher } from '../../session';
import { titled } from '../../voice';

export const generateMetadata = titled('newStudy.title');

export default async function NewStudyPage() {
  const teacher = await requireTeacher();
  return (
    <Shell section="studies" teacher={teacher.name}>
      <NewStudyForm classes={await classesToChoose(teacher.id, null)} />
    </Shell>
  );
}
