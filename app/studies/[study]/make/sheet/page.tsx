import { turnedAs } from '@/core/lesson/sheets';
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
  return (
    <GhostSheet
      study={study.title}
      date={todayIn(teacher.settings)}
      reference={reference}
      template={template}
      works={inGroup(works, group ?? null)}
      rules={await listRules(id)}
      paper={turnedAs([study.paperWidthMm, study.paperHeightMm], [reference.pictureWidth, reference.pictureHeight])}
    />
  );
}
