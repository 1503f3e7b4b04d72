import { MarksBench } from '@/ui/marks/MarksBench';
import { NoWorks } from '@/ui/shared/NoWorks';
import { tellSurface } from '@/core/style/readings';
import { MARK_KINDS } from '@/core/marks/kinds';
import { ruledBy } from '@/server/studies/hand';
import { listRules } from '@/server/studies/rules';
import { pinsOf } from '@/server/studies/noted';
import { listWorks } from '@/server/studies/works';
import { profileOf } from '@/server/pictures/readings';
import { openStudy } from '../../../session';
import { restsOf } from '../../../rests';
import { layeredOf } from '../../../subject';
import { titled } from '../../../voice';

export const generateMetadata = titled('steps.marks');

export default async function MarksPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ work?: string }>;
}) {
  const { study } = await params;
  await openStudy(study);
  const works = await listWorks(study);
  if (!works.length) return <NoWorks studyId={study} />;
  const wanted = (await searchParams).work;
  const work = works.find((w) => w.id === wanted) ?? works[0];
  const reading = await profileOf(work);
  const shares = MARK_KINDS.map((k): [typeof k, number] => [k, reading?.profile.features[`marks.share.${k}`]?.value ?? 0]).sort(
    (a, b) => b[1] - a[1],
  );
  const pins = await pinsOf(study);
  const slim = works.map((w) => ({
    id: w.id,
    title: w.title,
    pictureId: w.pictureId,
    pictureWidth: w.pictureWidth,
    pictureHeight: w.pictureHeight,
    foil: w.foil,
    widthMm: w.widthMm,
    pins: pins.get(w.id) ?? [],
    layered: layeredOf(w, w === work ? reading : null),
  }));
  return (
    <MarksBench
      studyId={study}
      works={slim}
      work={slim.find((w) => w.id === work.id)!}
      ground={reading?.profile.ground?.lab ?? null}
      properWidth={reading?.frame[2] ?? work.pictureWidth}
      overall={reading?.profile.marks.overall ?? null}
      edges={reading?.profile.edges ?? null}
      surface={reading ? tellSurface(reading.profile.features, reading.kinds, work.widthMm) : []}
      shares={shares}
      rests={reading && restsOf(reading, work.widthMm, works.filter((w) => !w.foil && w.partOf === null).length)}
      ruledBy={await ruledBy(study, work)}
      rules={await listRules(study)}
    />
  );
}
