import { redirect } from 'next/navigation';
import { Shell } from '@/ui/shared/Shell';
import { StudyList } from '@/ui/studies/StudyList';
import { listStudies } from '@/server/studies/studies';
import { requireTeacher } from '../session';
import { titled } from '../voice';

export const generateMetadata = titled('studies.title');

export default async function StudiesPage({ searchParams }: { searchParams: Promise<{ demo?: string }> }) {
  const teacher = await requireTeacher();
  const studies = await listStudies(teacher.id);
  if ((await searchParams).demo && studies.length === 1) redirect(`/studies/${studies[0].id}/compare`);
  return (
    <Shell section="studies" teacher={teacher.name}>
      <StudyList
        studies={studies.map((s) => ({
          id: s.id,
          title: s.title,
          master: s.master,
          medium: s.medium,
          className: s.className,
          works: s.works,
          pieces: s.pieces,
          coverId: s.coverId,
          href: `/studies/${s.id}/look`,
          archived: s.archivedAt !== null,
        }))}
      />
    </Shell>
  );
}
