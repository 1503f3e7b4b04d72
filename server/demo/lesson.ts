/** What the demo's teacher has done for the lesson: a plan with a step of their own, an exemplar in stages, days, and a period that was held. */
import { ANSGRAVE } from '../../atelier/hand';
import { renderDrawing } from '../../atelier/render';
import { drawScene, ownScene } from '../../atelier/scenes';
import { lineSheet, valueSheet } from '../../core/composition/lineSheet';
import { NEW_STEP } from '../../core/lesson/ownStep';
import { OWN, stepOf } from '../../core/lesson/wishes';
import type { OwnStep } from '../../core/lesson/technique';
import { message } from '../../core/message';
import type { RgbImage } from '../../core/raster/image';
import { studyOf } from '../accounts/ownership';
import { changing, database, newId } from '../database/connection';
import { planOf, savePlan } from '../lessons/plans';
import { keepSteps } from '../lessons/ownSteps';
import { encodePng } from '../pictures/decode';
import { takeInPicture } from '../pictures/takeIn';
import { lessonRuns } from '../schema';

/** A first, free sketch: to learn the subject in one's own hand before the master's. */
const SKETCH: OwnStep = {
  ...NEW_STEP,
  name: 'A sketch in your own hand',
  does: 'On scrap, draw what you want to show on your deck, in your own way. Four minutes, no rubbing out.',
  watch: 'What it is about, said in one sentence before the first line.',
  easier: 'Three shapes only.',
  bolder: 'With the other hand.',
  stuck: 'Turn the scrap over and begin again: that is what it is for.',
  options: [
    { name: 'from a photograph', how: 'one you brought yourself' },
    { name: 'from memory', how: 'the last crossing you made' },
  ],
  role: 'apart',
  least: 3,
  usual: 4,
  byAge: { under11: 6 },
  demonstration: 1,
  items: [{ what: 'photograph from home', n: 1, per: 'student' }],
};

/** Which stage of the exemplar shows which step, as it is when that step is done. */
const STAGES: Readonly<Record<string, (whole: RgbImage) => RgbImage>> = {
  'pen-line': (whole) => lineSheet(whole, 'coarse'),
  'pen-hatch': (whole) => lineSheet(whole, 'fine'),
  'first-wash': (whole) => valueSheet(whole, 3),
  accent: (whole) => whole,
};
const EXEMPLAR_PX_PER_MM = 3;

/** With what the master worked, as far as it is known, and what there is for it in the cupboard. */
const USED = [
  { what: 'pen that swells, waterproof ink', source: '', instead: 'reed pen' },
  { what: 'heavy toned paper', source: 'label of the exhibition', instead: '' },
];
/** What is there already, and what packs of the rest cost; invented. */
const SHELF = { pen: 24, 'ink-pot': 12, pencil: 30, 'round-brush': 24, 'fine-brush': 24, water: 14, eraser: 8 };
const PRICES = { 'heavy-paper': { pack: 20, cost: 9.5 }, ink: { pack: 50, cost: 4.2 } };

export async function seedLesson(teacherId: string, studyId: string, [w, h]: readonly [number, number]): Promise<void> {
  await keepSteps(teacherId, studyId, [SKETCH]);
  const { plan } = await planOf(await studyOf(teacherId, studyId));
  const drawing = drawScene(ownScene(41), ANSGRAVE, w, h);
  const whole = await renderDrawing(drawing, EXEMPLAR_PX_PER_MM, 4, 9);
  const pictureOf = new Map<string, string>();
  for (const [technique, made] of Object.entries(STAGES)) {
    const taken = await takeInPicture(teacherId, await encodePng(made(whole)), `exemplar-${technique}.png`);
    pictureOf.set(technique, await changing((tx) => taken.store(tx)));
  }
  const steps = [stepOf(OWN, SKETCH), ...plan.steps.map((s) => ({ ...s, pictureId: pictureOf.get(s.technique) ?? null }))];
  const calendar = { from: '2026-11-24', weekdays: [2], at: '09:50', off: [['2026-12-21', '2027-01-01'] as const] };
  const more = { used: USED, room: { sinks: 2, rack: 30 }, prices: PRICES, shelf: SHELF };
  await savePlan(teacherId, studyId, 0, { ...plan, ...more, steps, periods: 4, calendar }, message('edits.plan'));
  // The first period as it went.
  const turns = [
    { of: SKETCH.name, planned: 4, took: 6 },
    { of: 'pencil-draft', planned: 14, took: 17 },
  ];
  await database()
    .insert(lessonRuns)
    .values({ id: newId(), studyId, period: 0, turns, at: new Date('2026-11-24T10:40:00Z') });
}
