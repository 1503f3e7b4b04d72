/**
 * What is known of a technique: what the student does, what it leaves on the sheet, and what it asks for.
 * Minutes, drying times and amounts are common practice for a sheet of about A4, no source; teachers change them.
 */
import { Message, message, Values } from '../message';
import { ItemId } from './items';
import { CautionId } from './hazards';

/** What a step does to the picture. */
type Role =
  'ground' | 'draft' | 'resist' | 'line' | 'tone' | 'wash' | 'paint' | 'light' | 'accent' | 'fill' | 'blend' | 'rub-out' | 'fix' | 'print';

export interface Technique {
  /** What is said of it stands under `techniques` in `words/`, by this name. */
  id: string;
  role: Role;
  /** Fewest minutes in which it can be done, and what it usually takes. */
  least: number;
  usual: number;
  demonstration: number;
  /** Minutes until another step may touch the sheet. */
  dry: number;
  /** It wets the sheet. */
  wets?: true;
  /** What later water does to it: nothing, runs until it has dried, or always runs. Ink follows the bottle. */
  runs: 'never' | 'until-dry' | 'always' | 'as-ink';
  /** It lies as dust until fixed; it smears under a hand; a pen skips on it; it keeps water off. */
  dusty?: true;
  smears?: true;
  thick?: true;
  repels?: true;
  /** How dark it lies: lights and darks have their order. */
  value?: 'light' | 'dark';
  /** Light covering body colour. */
  opaque?: true;
  /** One of these must come before it. */
  after?: readonly string[];
  /** A drawing line that needs a dry sheet. */
  fine?: true;
  items: Partial<Record<ItemId, number>>;
  cautions: readonly CautionId[];
}

export const techniqueName = (id: string): Message => message(`techniques.${id}.name`);

/** One of the sentences about a technique. */
export const techniqueSays = (id: string, what: 'does' | 'watch' | 'easier' | 'bolder' | 'extra' | 'stuck', values?: Values): Message =>
  message(`techniques.${id}.${what}`, values);
