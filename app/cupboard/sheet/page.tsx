import { SwatchPaper } from '@/ui/cupboard/SwatchPaper';
import { sheetOfKit } from '@/server/cupboard/swatches';
import { todayIn } from '@/server/accounts/settings';
import { requireTeacher } from '../../session';
import { titled } from '../../voice';

export const generateMetadata = titled('swatches.title');

export default async function SwatchSheetPage({ searchParams }: { searchParams: Promise<{ kit?: string }> }) {
  const teacher = await requireTeacher();
  const { kit, sheet } = await sheetOfKit(teacher.id, (await searchParams).kit ?? '');
  return (
    <SwatchPaper kit={kit.name} white={kit.white} names={kit.materials.map((m) => m.name)} sheet={sheet} date={todayIn(teacher.settings)} />
  );
}
