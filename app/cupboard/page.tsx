import { Cupboard } from '@/ui/cupboard/Cupboard';
import { Shell } from '@/ui/shared/Shell';
import { listKits } from '@/server/studies/kits';
import { requireTeacher } from '../session';

export const metadata = { title: 'Cupboard' };

export default async function CupboardPage() {
  const teacher = await requireTeacher();
  return (
    <Shell section="cupboard" teacher={teacher.name}>
      <Cupboard kits={await listKits(teacher.id)} />
    </Shell>
  );
}
