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
  /** The technique that draws a master's line in it, where the usual lesson has none. */
  line?: string;
  /** There is no sheet. */
  screen?: true;
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
    beside: ['grid-transfer', 'clear-sheet', 'pencil-contour', 'pencil-cross', 'graphite-mass', 'smudge'],
    line: 'pencil-contour',
  },
  'coloured-pencil': {
    usual: ['pencil-draft', 'colour-dashes', 'colour-overlay', 'burnish'],
    beside: ['big-shapes', 'grid-transfer', 'pencil-contour', 'pencil-cross', 'black-fill', 'accent'],
    line: 'pencil-contour',
    instead: { 'soft-pencil': 'coloured-pencils' },
  },
  charcoal: {
    usual: ['charcoal-mass', 'smudge', 'lift-lights', 'charcoal-darks', 'chalk-lights', 'fix'],
    beside: ['tone-sheet', 'big-shapes', 'clear-sheet', 'charcoal-line'],
    line: 'charcoal-line',
  },
  pastel: {
    usual: ['tone-sheet', 'pastel-under', 'smudge', 'pastel-top', 'fix'],
    beside: ['big-shapes', 'clear-sheet', 'charcoal-line', 'chalk-lights', 'accent'],
    line: 'charcoal-line',
  },
  'wax-crayon': {
    usual: ['big-shapes', 'crayon-line', 'crayon-fill', 'black-fill'],
    beside: ['burnish', 'scrape-back', 'first-wash'],
    instead: { 'coloured-pencils': 'crayons', 'wash-ink': 'watercolour' },
  },
  'oil-pastel': {
    usual: ['big-shapes', 'oil-pastel', 'scrape-back'],
    beside: ['tone-sheet', 'crayon-line', 'first-wash'],
    line: 'crayon-line',
    instead: { 'wash-ink': 'watercolour' },
  },
  'felt-pen': {
    usual: ['pencil-draft', 'felt-line', 'rub-out-pencil', 'felt-fill', 'black-fill'],
    beside: ['big-shapes', 'grid-transfer', 'stipple'],
  },
  collage: {
    usual: ['big-shapes', 'cut-parts', 'lay-parts', 'glue-parts'],
    beside: ['tone-sheet', 'crayon-line', 'felt-line', 'opaque-white'],
    line: 'felt-line',
  },
  stencil: { usual: ['pencil-draft', 'cut-stencil', 'dab-stencil'], beside: ['tone-sheet', 'felt-line', 'second-coat'], line: 'felt-line' },
  digital: { usual: ['digital-layers', 'digital-line', 'digital-fields'], beside: [], screen: true },
  gouache: {
    usual: ['pencil-draft', 'flat-fields', 'second-coat', 'brush-outline', 'opaque-white'],
    beside: ['tone-sheet', 'big-shapes', 'grid-transfer', 'clear-sheet', 'dry-brush', 'accent', 'found-matter'],
    mixed: true,
    instead: { watercolour: 'gouache' },
  },
  watercolour: {
    usual: ['pencil-draft', 'lighten-draft', 'wet-in-wet', 'first-wash', 'second-wash', 'accent'],
    line: 'pen-line',
    beside: [
      'tone-sheet',
      'grid-transfer',
      'clear-sheet',
      'wax-resist',
      'mask-lights',
      'pen-line',
      'rub-out-pencil',
      'lift-wash',
      'dry-brush',
      'opaque-white',
    ],
    mixed: true,
    instead: { 'wash-ink': 'watercolour' },
  },
  acrylic: {
    usual: ['tone-sheet', 'pencil-draft', 'flat-fields', 'second-coat', 'brush-outline'],
    beside: ['grid-transfer', 'dry-brush', 'accent', 'found-matter'],
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
