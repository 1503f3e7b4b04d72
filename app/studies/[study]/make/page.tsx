import { MakeBench } from '@/ui/make/MakeBench';
import { templateToOpen } from '@/core/proportion/templates';
import { makingOf } from '@/server/lessons/making';
import { groupsIn, inGroup } from '@/server/studies/groups';
import { listRules } from '@/server/studies/rules';
import { rosterOf } from '@/server/classes/classes';
import { openStudy } from '../../../session';
import { titled } from '../../../voice';

export const generateMetadata = titled('steps.make');

export default async function MakePage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ reference?: string; template?: string; group?: string }>;
}) {
  const { study } = await params;
  await openStudy(study);
  const { references, works } = await makingOf(study);
  const { reference, template, group } = await searchParams;
  const current = references.find((r) => r.id === reference) ?? references[0] ?? null;
  const placed = current?.sets[0]?.template;
  const wanted = templateToOpen(template, placed);
  return (
    <MakeBench
      studyId={study}
      references={references}
      current={current?.id ?? null}
      template={wanted}
      works={inGroup(works, group ?? null)}
      groups={groupsIn(works)}
      group={group ?? null}
      roster={await rosterOf(study)}
      rules={await listRules(study)}
    />
  );
}
