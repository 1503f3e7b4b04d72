/** Knows which techniques there are, which go with a medium, and what a usual lesson in it looks like. */
import { LESSON_MEDIA, LessonMedium, Technique } from './technique';
import { TECHNIQUE_TABLE } from './techniqueTable';

const BY_ID: ReadonlyMap<string, Technique> = new Map(TECHNIQUE_TABLE.map((t) => [t.id, t]));

export const techniqueOf = (id: string): Technique | null => BY_ID.get(id) ?? null;

export const isLessonMedium = (name: string): name is LessonMedium => (LESSON_MEDIA as readonly string[]).includes(name);

/** Techniques that go with a medium, in the order of the table, which is a usual working order. */
export const techniquesFor = (medium: LessonMedium): Technique[] => TECHNIQUE_TABLE.filter((t) => t.media.includes(medium));

/** A usual lesson in each medium: technique ids in working order. */
export const USUAL: Record<LessonMedium, readonly string[]> = {
  'pen-and-wash': ['pencil-draft', 'pen-line', 'pen-hatch', 'rub-out-pencil', 'first-wash', 'second-wash', 'opaque-white', 'accent'],
  pen: ['pencil-draft', 'pen-line', 'pen-hatch', 'cross-hatch', 'rub-out-pencil'],
  'brush-ink': ['big-shapes', 'first-wash', 'second-wash', 'dry-brush', 'swelling-line'],
  pencil: ['big-shapes', 'pencil-draft', 'pencil-layers', 'pencil-darks', 'lift-lights'],
  'coloured-pencil': ['pencil-draft', 'colour-dashes', 'colour-overlay', 'burnish'],
  charcoal: ['charcoal-mass', 'smudge', 'lift-lights', 'charcoal-darks', 'chalk-lights', 'fix'],
  pastel: ['tone-sheet', 'pastel-under', 'smudge', 'pastel-top', 'fix'],
  'wax-crayon': ['big-shapes', 'crayon-line', 'crayon-fill', 'black-fill'],
  gouache: ['pencil-draft', 'flat-fields', 'second-coat', 'brush-outline', 'opaque-white'],
  watercolour: ['pencil-draft', 'rub-out-pencil', 'wet-in-wet', 'first-wash', 'second-wash', 'accent'],
  acrylic: ['tone-sheet', 'pencil-draft', 'flat-fields', 'second-coat', 'brush-outline'],
  print: ['pencil-draft', 'mirror-transfer', 'cut-block', 'pull-prints'],
};
