import { LookBench } from '@/ui/look/LookBench';
import { listWorks } from '@/server/studies/works';
import { sampleChoices } from '@/server/studies/samples';
import { settingsOf } from '@/server/accounts/settings';
import { orNotFound, requireTeacher } from '../../../session';

export const metadata = { title: 'Look' };

export default async function LookPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ work?: string }>;
}) {
  const teacher = await requireTeacher();
  const { study } = await params;
  const works = await orNotFound(listWorks(teacher.id, study));
  const { units } = await settingsOf(teacher.id);
  return (
    <LookBench
      studyId={study}
      works={works}
      current={(await searchParams).work ?? null}
      units={units}
      samples={sampleChoices()}
    />
  );
}
