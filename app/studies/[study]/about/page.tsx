import { papersIn } from '@/core/colour/materials';
import { classesToChoose } from '@/server/classes/classes';
import { listKits } from '@/server/cupboard/kits';
import { otherClassesOf } from '@/server/studies/studies';
import { listWorks } from '@/server/studies/works';
import { AboutStudy } from '@/ui/studies/AboutStudy';
import { openStudy } from '../../../session';
import { titled } from '../../../voice';

export const generateMetadata = titled('about.title');

export default async function AboutPage({ params }: { params: Promise<{ study: string }> }) {
  const { study: id } = await params;
  const { teacher, study } = await openStudy(id);
  const [kits, works] = [await listKits(teacher.id), await listWorks(id)];
  const papers = kits.flatMap((k) => papersIn(k.materials));
  const otherClasses = await otherClassesOf(id);
  const source = works.find((w) => !w.foil) ?? null;
  return (
    <AboutStudy
      key={study.id}
      study={{
        id,
        title: study.title,
        master: study.master,
        kind: study.kind,
        aim: study.aim,
        medium: study.medium,
        otherMedia: study.otherMedia ?? [],
        about: study.about,
        classId: study.classId,
        otherClasses,
        paperWidthMm: study.paperWidthMm,
        paperHeightMm: study.paperHeightMm,
        archived: study.archivedAt !== null,
        version: study.version,
      }}
      classes={await classesToChoose(teacher.id, study.classId, ...otherClasses)}
      papers={papers}
      source={
        source && { title: source.title, width: source.widthMm ?? source.pictureWidth, height: source.heightMm ?? source.pictureHeight }
      }
    />
  );
}
