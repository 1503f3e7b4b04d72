import { LookBench } from '@/ui/look/LookBench';
import { factsOf } from '@/server/studies/noted';
import { modelsOf } from '@/server/studies/references';
import { listWorks } from '@/server/studies/works';
import { sampleChoices } from '@/server/studies/samples';
import { openStudy } from '../../../session';
import { layeredOf } from '../../../subject';
import { titled } from '../../../voice';

export const generateMetadata = titled('steps.look');

export default async function LookPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ work?: string }>;
}) {
  const { study } = await params;
  await openStudy(study);
  const works = await listWorks(study);
  const [facts, models] = [await factsOf(study), await modelsOf(study)];
  return (
    <LookBench
      studyId={study}
      works={works.map((w) => ({ ...w, facts: facts.get(w.id) ?? [], models: models.get(w.id) ?? [], layered: layeredOf(w) }))}
      current={(await searchParams).work ?? null}
      samples={sampleChoices()}
    />
  );
}
