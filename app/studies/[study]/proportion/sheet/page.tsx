import { GridSheet } from '@/ui/proportion/GridSheet';
import { isTemplate, pointName, TEMPLATES } from '@/core/proportion/templates';
import { listWorks } from '@/server/studies/works';
import { notFound } from 'next/navigation';
import { openStudy } from '../../../../session';
import { titled } from '../../../../voice';

export const generateMetadata = titled('proportion.sheet.title');

const PAPERS: Record<string, [number, number]> = { A4: [297, 210], A3: [420, 297], Letter: [279.4, 215.9] };

export default async function SheetPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ work?: string; template?: string; paper?: string }>;
}) {
  const { study: id } = await params;
  const { study } = await openStudy(id);
  const { work: wanted, template = '', paper = 'A4' } = await searchParams;
  const work = (await listWorks(id)).find((w) => w.id === wanted);
  if (!work || !isTemplate(template)) notFound();
  const set = work.sets.find((s) => s.template === template);
  const across = PAPERS[paper] ?? PAPERS.A4;
  const sheet: [number, number] = work.pictureWidth >= work.pictureHeight ? across : [across[1], across[0]];
  const points = TEMPLATES[template].points
    .filter((p) => set?.points[p.name])
    .map((p) => ({ name: p.name, said: pointName(template, p.name), at: set!.points[p.name] }));
  return (
    <GridSheet
      study={study.title}
      work={work.title}
      pictureId={work.pictureId}
      date={new Date().toISOString().slice(0, 10)}
      source={[work.pictureWidth, work.pictureHeight]}
      paper={sheet}
      columns={8}
      points={points}
    />
  );
}
