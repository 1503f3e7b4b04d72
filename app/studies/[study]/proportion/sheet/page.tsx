import { GridSheet } from '@/ui/proportion/GridSheet';
import { sizeNamed } from '@/core/lesson/sheets';
import { kindOf } from '@/ui/shared/kinds';
import { ownTemplatesOf } from '@/server/studies/ownTemplates';
import { listWorks } from '@/server/studies/works';
import { notFound } from 'next/navigation';
import { todayIn } from '@/server/accounts/settings';
import { openStudy } from '../../../../session';
import { titled } from '../../../../voice';

export const generateMetadata = titled('proportion.sheet.title');

export default async function SheetPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ work?: string; template?: string; set?: string; paper?: string }>;
}) {
  const { study: id } = await params;
  const { teacher, study } = await openStudy(id);
  const { work: wanted, template = '', set: name, paper = 'A4' } = await searchParams;
  const work = (await listWorks(id)).find((w) => w.id === wanted);
  const kind = kindOf(template, await ownTemplatesOf(teacher.id));
  if (!work || !kind) notFound();
  const set = work.sets.find((s) => s.template === kind.key && s.name === (name ?? s.name));
  const [short, long] = sizeNamed(paper) ?? sizeNamed('A4')!;
  const sheet: [number, number] = work.pictureWidth >= work.pictureHeight ? [long, short] : [short, long];
  const points = kind.template.points
    .filter((p) => set?.points[p.name])
    .map((p) => ({ name: p.name, said: kind.pointSaid(p.name), at: set!.points[p.name] }));
  return (
    <GridSheet
      study={study.title}
      work={work.title}
      pictureId={work.pictureId}
      date={todayIn(teacher.settings)}
      source={[work.pictureWidth, work.pictureHeight]}
      paper={sheet}
      columns={8}
      points={points}
    />
  );
}
