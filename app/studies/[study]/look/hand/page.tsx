import { NoWorks } from '@/ui/shared/NoWorks';
import { HandSheet } from '@/ui/look/HandSheet';
import { FOILS, groupsIn, isBeside, isOfHand } from '@/server/studies/groups';
import { ruledBy } from '@/server/studies/hand';
import { listRules } from '@/server/studies/rules';
import { listWorks } from '@/server/studies/works';
import { openStudy } from '../../../../session';
import { layeredOf } from '../../../../subject';
import { titled } from '../../../../voice';

export const generateMetadata = titled('hand.sheet.title');

export default async function HandPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ group?: string; beside?: string }>;
}) {
  const { study } = await params;
  await openStudy(study);
  const works = (await listWorks(study)).filter((w) => w.partOf === null);
  if (!works.some((w) => !w.foil)) return <NoWorks studyId={study} />;
  const asked = await searchParams;
  const groups = groupsIn(works.filter((w) => !w.foil));
  const group = groups.find((g) => g.id === asked.group) ?? null;
  const foils = works.some((w) => w.foil);
  // Without a choice a foil stands beside, where there is one.
  const beside = asked.beside === 'none' ? null : (groups.find((g) => g.id === asked.beside && g !== group)?.id ?? (foils ? FOILS : null));
  const { ranges } = await ruledBy(study, { foil: false, groupId: group?.id ?? null });
  return (
    <HandSheet
      key={`${group?.id}:${beside}`}
      studyId={study}
      works={works.map((w) => ({
        id: w.id,
        title: w.title,
        pictureId: w.pictureId,
        pictureWidth: w.pictureWidth,
        pictureHeight: w.pictureHeight,
        side: isOfHand(w, group?.id ?? null) ? 'hand' : isBeside(w, group?.id ?? null, beside) ? 'beside' : null,
        layered: layeredOf(w),
      }))}
      groups={groups}
      group={group}
      beside={beside}
      foils={foils}
      counted={Object.fromEntries(ranges.map((r) => [r.feature, r]))}
      rules={await listRules(study)}
    />
  );
}
