import { isSheetSure } from '@/core/style/features';
import { ColourBench } from '@/ui/colour/ColourBench';
import { NoWorks } from '@/ui/shared/NoWorks';
import { listKits } from '@/server/cupboard/kits';
import { ruledBy } from '@/server/studies/hand';
import { listRules } from '@/server/studies/rules';
import { listWorks } from '@/server/studies/works';
import { profileOf } from '@/server/pictures/readings';
import { openStudy } from '../../../session';
import { restsOf } from '../../../rests';
import { layeredOf } from '../../../subject';
import { titled } from '../../../voice';

export const generateMetadata = titled('steps.colour');

export default async function ColourPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ work?: string }>;
}) {
  const { study } = await params;
  const { teacher } = await openStudy(study);
  const works = await listWorks(study);
  if (!works.length) return <NoWorks studyId={study} />;
  const wanted = (await searchParams).work;
  const work = works.find((w) => w.id === wanted) ?? works[0];
  const reading = await profileOf(work);
  const slim = works.map((w) => ({
    id: w.id,
    title: w.title,
    pictureId: w.pictureId,
    pictureWidth: w.pictureWidth,
    pictureHeight: w.pictureHeight,
    foil: w.foil,
    layered: layeredOf(w, w === work ? reading : null),
  }));
  const read = reading && {
    palette: reading.profile.palette,
    ground: reading.profile.ground,
    values: reading.profile.values,
    temperature: reading.profile.temperature,
    chroma: reading.profile.chroma,
    sheetSure: isSheetSure(reading.profile.features),
  };
  return (
    <ColourBench
      studyId={study}
      works={slim}
      work={slim.find((w) => w.id === work.id)!}
      read={read}
      rests={reading && restsOf(reading, work.widthMm, works.filter((w) => !w.foil && w.partOf === null).length)}
      kits={await listKits(teacher.id)}
      ruledBy={await ruledBy(study, work)}
      rules={await listRules(study)}
    />
  );
}
