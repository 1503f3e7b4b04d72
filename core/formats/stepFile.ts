/** Knows the file of a teacher's own steps: JSON, `"format": "oldhand.step/1"` and a list `steps`. */
import { CoreError } from '../errors';
import { checkedStep } from '../lesson/ownStep';
import type { OwnStep } from '../lesson/technique';

const FORMAT = 'oldhand.step/1';
const MOST_STEPS = 100;

export const stepsAsJson = (steps: readonly OwnStep[]): string => `${JSON.stringify({ format: FORMAT, steps }, null, 2)}\n`;

export function readStepFile(text: string): OwnStep[] {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new CoreError('step.file');
  }
  const { format, steps } = (value ?? {}) as { format?: unknown; steps?: unknown };
  if (format !== FORMAT || !Array.isArray(steps) || !steps.length || steps.length > MOST_STEPS) throw new CoreError('step.file');
  return steps.map(checkedStep);
}
