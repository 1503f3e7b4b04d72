/** Knows the sample works that ship with the application: six invented hands, drawn when a teacher wants to try one. */
import { typed } from '../../core/message';
import { SAMPLE_HANDS } from '../../atelier/hands';
import { sentence, UserError } from '../errors';
import { inThread } from '../threads/threads';
import { studyOf } from '../accounts/ownership';
import { addWork } from './works';

export interface SampleChoice {
  key: string;
  name: string;
  lived: string;
  works: number;
}

export function sampleChoices(): SampleChoice[] {
  return SAMPLE_HANDS.map(({ key, name, lived, works }) => ({ key, name, lived, works: works.length }));
}

/** Draws one of a hand's works and adds it with its size and date; as a foil it is only set beside the master's. */
export async function addSample(teacherId: string, studyId: string, key: string, index: number, foil: boolean): Promise<string> {
  await studyOf(teacherId, studyId);
  const hand = SAMPLE_HANDS.find((h) => h.key === key);
  if (!hand) throw new UserError(400, sentence('sampleHand'), 'hand');
  const work = hand.works[index];
  if (!work) throw new UserError(400, sentence('sampleNone', { hand: typed(hand.name), n: hand.works.length, asked: index + 1 }), 'work');
  const png = await inThread({ task: 'draw-sample', hand: key, index });
  const { title, dated, widthMm, heightMm } = work;
  return addWork(teacherId, studyId, Buffer.from(png), `${title}.png`, {
    title,
    dated,
    widthMm,
    heightMm,
    foil,
    group: foil ? hand.name : '',
  });
}
