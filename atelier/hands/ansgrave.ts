/** Knows the demo's master as one of the six sample hands: reed pen and wash on the island port. */
import { ANSGRAVE, ANSGRAVE_RULES } from '../hand';
import { renderDrawing } from '../render';
import { drawScene, MASTER_SCENES, ownScene } from '../scenes';
import { Drawing } from '../sheet';
import { DrawnWork, HandWork, SampleHand } from './sample';

const GRAIN = 5;

function drawingOf(work: HandWork): Drawing {
  const shown = MASTER_SCENES.find((s) => s.title === work.title);
  return drawScene(shown ? shown.scene : ownScene(work.seed), ANSGRAVE, work.widthMm, work.heightMm);
}

async function draw(work: HandWork, pxPerMm: number): Promise<DrawnWork> {
  const drawing = drawingOf(work);
  return {
    image: await renderDrawing(drawing, pxPerMm, GRAIN, work.seed),
    colours: [],
    strokes: drawing.strokes.filter((s) => s.role === 'hatch' || s.role === 'cross'),
  };
}

export const ANSGRAVE_HAND: SampleHand = {
  key: 'ansgrave',
  name: 'Teodor Ansgrave',
  lived: '1888–1951',
  place: 'the island port of Skerrowby',
  medium: 'Reed pen and wash on buff paper',
  manner: 'Caped figures four and a half heads tall, even hatching one way, a line only on the windward side, one small light.',
  subjects: ['port'],
  sizes: [
    [297, 210],
    [210, 297],
    [320, 240],
  ],
  works: MASTER_SCENES.map(({ title, dated, widthMm, heightMm, scene }) => ({
    title,
    dated,
    widthMm,
    heightMm,
    subject: 'port',
    seed: scene.seed,
  })),
  rules: { ...ANSGRAVE, length: ANSGRAVE.length, crossEverywhere: 'no', white: 'yes', accent: ANSGRAVE.accent! },
  expected: {
    'marks.spacing': { low: ANSGRAVE_RULES.spacingMm.value - 0.15, high: ANSGRAVE_RULES.spacingMm.value + 0.15 },
    'marks.lineWidth': { low: 0.38, high: 0.6 },
    'marks.direction': { low: 147, high: 157 },
    'value.mean': { low: 54, high: 70 },
  },
  draw,
};
