import { NoWorks } from '@/ui/shared/NoWorks';
import { ProportionBench } from '@/ui/proportion/ProportionBench';
import { CarryBench } from '@/ui/proportion/CarryBench';
import { EyeBench } from '@/ui/proportion/EyeBench';
import { InventoryBench } from '@/ui/proportion/InventoryBench';
import { PartsBench } from '@/ui/proportion/PartsBench';
import { ShapesBench } from '@/ui/proportion/ShapesBench';
import { VIEWS } from '@/ui/proportion/viewNames';
import { Views } from '@/ui/proportion/Views';
import { WorkStrip } from '@/ui/shared/WorkStrip';
import { rosterOf } from '@/server/classes/classes';
import { roundsOf } from '@/server/studies/drills';
import { motifsOf } from '@/server/studies/motifs';
import { partsOf } from '@/server/studies/parts';
import { rulersOf } from '@/server/studies/bodyRulers';
import { shapesOf } from '@/server/studies/shapes';
import { turnedAs } from '@/core/lesson/sheets';
import { FINENESS } from '@/core/composition/lineSheet';
import { ALL_FIGURES } from '@/ui/proportion/carrying';
import { wishesFrom } from '@/core/proportion/carryOver';
import { isTemplate, templateToOpen } from '@/core/proportion/templates';
import { modelsOf } from '@/server/studies/references';
import { ownTemplatesOf } from '@/server/studies/ownTemplates';
import { ownKey } from '@/core/proportion/ownTemplate';
import { listRules } from '@/server/studies/rules';
import { listWorks } from '@/server/studies/works';
import { openStudy } from '../../../session';
import { layeredOf } from '../../../subject';
import { titled } from '../../../voice';

export const generateMetadata = titled('steps.proportion');

export default async function ProportionPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ work?: string; template?: string; set?: string; model?: string; making?: string; view?: string }>;
}) {
  const { study } = await params;
  const { teacher, study: row } = await openStudy(study);
  const works = await listWorks(study);
  if (!works.length) return <NoWorks studyId={study} />;
  const { work, template, set, model, making, view: asked } = await searchParams;
  const view = VIEWS.find((v) => v === asked) ?? 'points';
  const withSets = works.map((w) => ({
    id: w.id,
    title: w.title,
    foil: w.foil,
    groupId: w.groupId,
    group: w.group,
    pictureId: w.pictureId,
    pictureWidth: w.pictureWidth,
    pictureHeight: w.pictureHeight,
    sets: w.sets,
    layered: layeredOf(w),
  }));
  const current = withSets.find((w) => w.id === work) ?? withSets.find((w) => w.sets.length) ?? withSets[0];
  const views = <Views studyId={study} workId={current.id} current={view} />;
  const strip = (
    <WorkStrip works={withSets} current={current.id} href={`/studies/${study}/proportion`} also={view === 'points' ? '' : `view=${view}`} />
  );
  const frame = current.layered.as.frame ?? ([0, 0, current.pictureWidth, current.pictureHeight] as const);
  const drawn = await shapesOf(current.id);
  if (view === 'shapes') {
    return (
      <ShapesBench
        key={current.id}
        studyId={study}
        work={current}
        frame={frame}
        sheet={turnedAs([row.paperWidthMm, row.paperHeightMm], [frame[2], frame[3]])}
        rulers={await rulersOf(row)}
        first={drawn}
        rules={await listRules(study)}
        views={views}
        strip={strip}
      />
    );
  }
  if (view === 'inventory')
    return (
      <InventoryBench
        key={current.id}
        studyId={study}
        work={current}
        counted={withSets.filter((w) => !w.foil && (current.groupId === null || w.groupId === current.groupId)).map((w) => w.id)}
        motifs={await motifsOf(study)}
        rules={await listRules(study)}
        views={views}
        strip={strip}
      />
    );
  if (view === 'parts') return <PartsBench studyId={study} parts={await partsOf(study)} views={views} />;
  if (view === 'eye')
    return (
      <EyeBench
        studyId={study}
        works={withSets.filter((w) => !w.foil)}
        own={await ownTemplatesOf(teacher.id)}
        students={await rosterOf(study)}
        rounds={(await roundsOf(study)).map((r) => ({ ...r, at: r.at.toISOString() }))}
        views={views}
      />
    );
  if (view === 'carry') {
    const query = (await searchParams) as Record<string, string | undefined>;
    const sheet = turnedAs([row.paperWidthMm, row.paperHeightMm], [frame[2], frame[3]]);
    const placedSet = current.sets.find((s) => s.template === query.template && s.name === (query.set ?? s.name)) ?? current.sets[0];
    return (
      <CarryBench
        key={current.id}
        study={{ id: study, version: row.version, sheet, ownRulers: row.bodyRulers !== null }}
        work={{ ...current, widthMm: current.layered.as.widthMm ?? null, frame }}
        own={await ownTemplatesOf(teacher.id)}
        shapes={drawn.shapes}
        lines={drawn.lines}
        rulers={await rulersOf(row)}
        printer={teacher.settings.paper}
        first={{
          wishes: wishesFrom(query, { sheet, leftHanded: teacher.settings.hand === 'left' }),
          template: query.template === ALL_FIGURES ? ALL_FIGURES : (placedSet?.template ?? ''),
          set: query.template === ALL_FIGURES ? '' : (placedSet?.name ?? ''),
          fineness: FINENESS.find((f) => f === query.fineness) ?? 'middle',
        }}
        views={views}
        strip={strip}
      />
    );
  }
  const models = await modelsOf(study);
  const modelled = withSets.map((w) => ({ ...w, models: models.get(w.id) ?? [] }));
  const on = modelled.find((w) => w.id === current.id)!.models.find((m) => m.id === model) ?? current;
  const placed = on.sets[0]?.template ?? current.sets[0]?.template;
  const own = await ownTemplatesOf(teacher.id);
  const known = (t: string | undefined): t is string => t !== undefined && (isTemplate(t) || own.some((o) => ownKey(o.id) === t));
  const wanted = [template, placed].find(known) ?? templateToOpen();
  return (
    <ProportionBench
      studyId={study}
      works={modelled}
      current={current.id}
      model={model ?? null}
      template={wanted}
      own={own}
      making={making === 'new' || making === 'change' ? making : null}
      chosen={known(template) || known(placed)}
      set={set ?? on.sets.find((s) => s.template === wanted)?.name ?? ''}
      drawn={drawn}
      rules={await listRules(study)}
    />
  );
}
