import { notFound } from 'next/navigation';
import { GhostSheet } from '@/ui/make/GhostSheet';
import { isTemplate } from '@/core/proportion/templates';
import { makingOf } from '@/server/lessons/making';
import { inGroup } from '@/server/studies/groups';
import { listRules } from '@/server/studies/rules';
import { todayIn } from '@/server/accounts/settings';
import { openStudy } from '../../../../session';
import { titled } from '../../../../voice';

export const generateMetadata = titled('make.sheet.title');

export default async function GhostSheetPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ reference?: string; template?: string; group?: string }>;
}) {
  const { study: id } = await params;
  const { teacher, study } = await openStudy(id);
  const { reference: wanted, template = '', group } = await searchParams;
  const { references, works } = await makingOf(id);
  const reference = references.find((r) => r.id === wanted);
  if (!reference || !isTemplate(template)) notFound();
  // The class's own sheet, turned the way the reference lies.
  const across = [Math.max(study.paperWidthMm, study.paperHeightMm), Math.min(study.paperWidthMm, study.paperHeightMm)] as const;
  return (
    <GhostSheet
      study={study.title}
      date={todayIn(teacher.settings)}
      reference={reference}
      template={template}
      works={inGroup(works, group ?? null)}
      rules={await listRules(id)}
      paper={reference.pictureWidth >= reference.pictureHeight ? across : [across[1], across[0]]}
    />
  );
}
