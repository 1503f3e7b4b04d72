import { Cupboard } from '@/ui/cupboard/Cupboard';
import { Shell } from '@/ui/shared/Shell';
import { paperIn } from '@/server/accounts/settings';
import { listKits } from '@/server/cupboard/kits';
import { requireTeacher } from '../session';
import { titled } from '../voice';

export const generateMetadata = titled('cupboard.title');

export default async function CupboardPage() {
  const teacher = await requireTeacher();
  return (
    <Shell section="cupboard" teacher={teacher.name} undo>
      <Cupboard kits={await listKits(teacher.id)} paper={paperIn(teacher.settings)} />
    </Shell>
  );
}
