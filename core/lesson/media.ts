/** The media a lesson can be in: which techniques go with each, and what a usual lesson in it looks like. */
import { Message, message } from '../message';
import { ItemId } from './items';

interface Medium {
  /** A usual lesson: technique ids in working order. */
  usual: readonly string[];
  /** What else goes with it. */
  beside: readonly string[];
  /** The measured palette is mixed from paint. */
  mixed?: true;
  /** What a technique's material is here. */
  instead?: Partial<Record<ItemId, ItemId>>;
}

/** What each is called stands under `media` in `words/`. Which go together is common practice, no source. */
const MEDIA = {
  'pen-and-wash': {
    usual: ['pencil-draft', 'pen-line', 'pen-hatch', 'rub-out-pencil', 'first-wash', 'second-wash', 'opaque-white', 'accent'],
    beside: [
      'tone-sheet',
      'grid-transfer',
      'clear-sheet',
      'wax-resist',
      'mask-lights',
      'cross-hatch',
      'stipple',
      'swelling-line',
      'wet-in-wet',
    ],
    mixed: true,
  },
  pen: {
    usual: ['pencil-draft', 'pen-line', 'pen-hatch', 'cross-hatch', 'rub-out-pencil'],
    beside: ['grid-transfer', 'clear-sheet', 'stipple', 'swelling-line', 'black-fill'],
  },
  'brush-ink': {
    usual: ['big-shapes', 'first-wash', 'second-wash', 'dry-brush', 'swelling-line'],
    beside: ['wax-resist', 'stipple', 'wet-in-wet', 'lift-wash', 'opaque-white', 'accent'],
  },
  pencil: {
    usual: ['big-shapes', 'pencil-draft', 'pencil-layers', 'pencil-darks', 'lift-lights'],
    beside: ['grid-transfer', 'clear-sheet', 'cross-hatch'],
  },
  'coloured-pencil': {
    usual: ['pencil-draft', 'colour-dashes', 'colour-overlay', 'burnish'],
    beside: ['big-shapes', 'grid-transfer', 'black-fill', 'accent'],
  },
  charcoal: {
    usual: ['charcoal-mass', 'smudge', 'lift-lights', 'charcoal-darks', 'chalk-lights', 'fix'],
    beside: ['tone-sheet', 'big-shapes', 'clear-sheet'],
  },
  pastel: {
    usual: ['tone-sheet', 'pastel-under', 'smudge', 'pastel-top', 'fix'],
    beside: ['big-shapes', 'clear-sheet', 'chalk-lights', 'accent'],
  },
  'wax-crayon': { usual: ['big-shapes', 'crayon-line', 'crayon-fill', 'black-fill'], beside: ['burnish'] },
  gouache: {
    usual: ['pencil-draft', 'flat-fields', 'second-coat', 'brush-outline', 'opaque-white'],
    beside: ['tone-sheet', 'big-shapes', 'grid-transfer', 'clear-sheet', 'dry-brush', 'accent'],
    mixed: true,
    instead: { watercolour: 'gouache' },
  },
  watercolour: {
    usual: ['pencil-draft', 'rub-out-pencil', 'wet-in-wet', 'first-wash', 'second-wash', 'accent'],
    beside: [
      'tone-sheet',
      'grid-transfer',
      'clear-sheet',
      'wax-resist',
      'mask-lights',
      'pen-line',
      'lift-wash',
      'dry-brush',
      'opaque-white',
    ],
    mixed: true,
    instead: { 'wash-ink': 'watercolour' },
  },
  acrylic: {
    usual: ['tone-sheet', 'pencil-draft', 'flat-fields', 'second-coat', 'brush-outline'],
    beside: ['grid-transfer', 'dry-brush', 'accent'],
    mixed: true,
    instead: { gouache: 'acrylic', watercolour: 'acrylic' },
  },
  print: { usual: ['pencil-draft', 'mirror-transfer', 'cut-block', 'pull-prints'], beside: ['grid-transfer'] },
} as const satisfies Record<string, Medium>;

export type LessonMedium = keyof typeof MEDIA;
export const LESSON_MEDIA = Object.keys(MEDIA) as LessonMedium[];

export const isLessonMedium = (name: string): name is LessonMedium => Object.hasOwn(MEDIA, name);
export const mediumOf = (name: LessonMedium): Medium => MEDIA[name];
export const mediumName = (medium: LessonMedium): Message => message(`media.${medium}`);
