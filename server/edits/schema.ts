/** What may be sent to take a step in a log of edits. */
import { object, string } from 'yup';

export const stepSchema = object({
  direction: string()
    .oneOf(['undo', 'redo'] as const)
    .required(),
});
