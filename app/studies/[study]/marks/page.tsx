import { MarksBench } from '@/ui/marks/MarksBench';
import { tellSurface } from '@/ui/marks/words';
import { NoWorks } from '@/ui/shared/NoWorks';
import { kindName } from '@/core/style/words';
import { MARK_KINDS } from '@/core/marks/kind';
import { settingsOf } from '@/server/accounts/settings';
import { listRules } from '@/server/studies/rules';
import { listWorks, profileOf } from '@/server/studies/works';
import { orNotFound, requireTeacher } from '../../../session';

export const metadata = { title: 'Marks' };

export default async function MarksPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ work?: string }>;
}) {
  const teacher = await requireTeacher();
  const { study } = await params;
  const works = await orNotFound(listWorks(teacher.id, study));
  if (!works.length) return <NoWorks studyId={study} />;
  const wanted = (await searchParams).work;
  const work = works.find((w) => w.id === wanted) ?? works[0];
  const held = await profileOf(work.pictureId, work.widthMm);
  const shares = MARK_KINDS.map((k): [string, number] => [
    kindName(k),
    held?.profile.features[`marks.share.${k}`]?.value ?? 0,
  ]).sort((a, b) => b[1] - a[1]);
  const { units } = await settingsOf(teacher.id);
  const slim = works.map((w) => ({
    id: w.id,
    title: w.title,
    pictureId: w.pictureId,
    pictureWidth: w.pictureWidth,
    pictureHeight: w.pictureHeight,
    widthMm: w.widthMm,
    pins: w.pins,
  }));
  return (
    <MarksBench
      studyId={study}
      works={slim}
      work={slim.find((w) => w.id === work.id)!}
      ground={held?.profile.ground?.lab ?? null}
      overall={held?.profile.marks.overall ?? null}
      edges={held?.profile.edges ?? null}
      surface={held ? tellSurface(held.profile.features, held.kinds, work.widthMm, { spelling: 'british', units }) : []}
      shares={shares}
      rules={await listRules(teacher.id, study)}
      units={units}
    />
  );
}
