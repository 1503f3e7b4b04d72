/** What may be sent for studies, classes, works and rules, checked before anything is stored. */
import { array, boolean, mixed, number, object, string } from 'yup';
import { LESSON_MEDIA } from '../../core/lesson/technique';
import { MARK_KINDS } from '../../core/marks/kind';

/** Text without spaces at its ends. The library's own trimming breaks on what is no text at all. */
const words = () =>
  string()
    .typeError('${path} must be text.')
    .transform((v: unknown) => (typeof v === 'string' ? v.trim() : v));

const mm = (label: string) =>
  number()
    .typeError(`${label} must be a number of mm.`)
    .min(10, `${label} must be at least 10 mm.`)
    .max(5000, `${label} must be at most 5000 mm.`);

export const studySchema = object({
  title: words().required('Give the study a name.').max(120, 'The name is longer than 120 letters.'),
  master: words().required('Say whose hand it is.').max(120, 'The master’s name is longer than 120 letters.'),
  kind: string()
    .oneOf(['master', 'period'] as const)
    .required(),
  aim: string()
    .oneOf(['replica', 'study', 'remembered'] as const)
    .required(),
  medium: words().required('Choose a medium.').max(60),
  about: string().max(5000).defined().default(''),
  classId: string().nullable().defined().default(null),
  paperWidthMm: mm('The sheet’s width').required(),
  paperHeightMm: mm('The sheet’s height').required(),
});

/** A change names only what it changes: nothing here may have a default, which would overwrite what is stored. */
export const studyChangeSchema = studySchema
  .partial()
  .shape({ version: number().integer().required(), about: string().max(5000), classId: string().nullable() });

/** What is deleted for good is named by whoever deletes it. */
export const deletionSchema = object({ name: string().max(190).required('Type the name to delete it for good.') });

export const classSchema = object({
  name: words().required('Give the class a name.').max(80),
  school: words().max(120).defined().default(''),
  students: array(
    object({ firstName: words().required('Every student needs a first name.').max(40), initial: words().max(2).defined().default('') }),
  )
    .max(60, 'A class holds at most 60 students.')
    .defined()
    .default([]),
});

export const workChangeSchema = object({
  version: number().integer().required(),
  title: words().min(1, 'Give the work a title.').max(120),
  dated: words().max(40),
  widthMm: mm('The width').nullable(),
  heightMm: mm('The height').nullable(),
  group: words().max(60),
  foil: boolean(),
  impressions: string().max(4000),
});

export const cropSchema = object({
  version: number().integer().required(),
  x: number().required(),
  y: number().required(),
  w: number().required(),
  h: number().required(),
  turn: mixed<0 | 90 | 180 | 270>()
    .oneOf([0, 90, 180, 270] as const, 'Turn by quarters: 0, 90, 180 or 270.')
    .required(),
});

export const factSchema = object({
  text: words().required('Write the fact down.').max(2000),
  source: words().max(190).nullable().defined().default(null),
});

const MOST_POINT_NAME = 40;

const point = mixed<[number, number]>().test(
  'point',
  'A point must be two numbers.',
  (v) => Array.isArray(v) && v.length === 2 && v.every((n) => typeof n === 'number' && Number.isFinite(n)),
);

export const landmarksSchema = object({
  template: string().required(),
  version: number().integer().min(0).required(),
  label: string().max(180).defined().default('points'),
  points: mixed<Record<string, [number, number]>>()
    .required()
    .test(
      'points',
      'Points must be names with two numbers each.',
      (v) => !!v && typeof v === 'object' && Object.values(v).every((p) => point.isValidSync(p)),
    )
    .test(
      'names',
      `Points have names of at most ${MOST_POINT_NAME} letters, figures and hyphens.`,
      (v) => !v || Object.keys(v).every((n) => n.length <= MOST_POINT_NAME && /^[\p{L}\p{N}][\p{L}\p{N} -]*$/u.test(n)),
    ),
});

export const ruleSchema = object({
  kind: string()
    .oneOf(['feature', 'always', 'never'] as const)
    .required(),
  feature: string().max(80).defined().default(''),
  sentence: words().required('Write the rule as a sentence.').max(300, 'The sentence is longer than 300 letters.'),
  evidence: words().max(500).defined().default(''),
});

export const ruleChangeSchema = object({
  version: number().integer().required(),
  sentence: words().min(1, 'A rule needs its sentence.').max(300),
  evidence: words().max(500),
});

const px = number().min(-100_000).max(100_000).required();
const figure = number().min(-1e7).max(1e7);
const size = { px: figure.required(), mm: figure.nullable().defined().default(null), permille: figure.required() };

/** A patch's reading as the reading window takes it: its own figures and nothing else. */
const readingSchema = object({
  kind: string().oneOf(MARK_KINDS, 'The reading’s kind of mark is none Old Hand knows.').required(),
  confidence: number().min(0).max(1).required(),
  directions: array(object({ angle: figure.required(), weight: figure.required() }).required())
    .max(8)
    .required(),
  coherence: figure.required(),
  crossing: figure.nullable().defined().default(null),
  spacing: object({ ...size, variation: figure.required() })
    .nullable()
    .defined()
    .default(null),
  lineWidth: object({ ...size, thin: figure.required(), thick: figure.required() })
    .nullable()
    .defined()
    .default(null),
  strokeLength: object({ ...size, short: figure.required(), long: figure.required() })
    .nullable()
    .defined()
    .default(null),
  straightness: figure.nullable().defined().default(null),
  coverage: figure.required(),
});

export const pinSchema = object({
  patch: array(px).length(4, 'A patch is x, y, width and height.').required(),
  reading: readingSchema.required('The patch has no reading; wait until it has been read, then keep it.'),
});

const minutes = (label: string, low: number, high: number) =>
  number()
    .integer(`${label} must be a whole number of minutes.`)
    .typeError(`${label} must be a number of minutes.`)
    .min(low, `${label}: at least ${low} minutes.`)
    .max(high, `${label}: at most ${high} minutes.`);

export const planSchema = object({
  version: number().integer().min(0).required(),
  label: string().max(180).defined().default('the plan'),
  medium: string().oneOf(LESSON_MEDIA, 'Choose one of the media.').required(),
  ink: string()
    .oneOf(['waterproof', 'washable'] as const)
    .required(),
  contact: string()
    .oneOf(['light-pencil', 'straight-in'] as const)
    .required(),
  erasing: boolean().required(),
  youngest: number()
    .integer()
    .typeError('The youngest age must be a number of years.')
    .min(4, 'The youngest age: at least 4.')
    .max(99, 'The youngest age: at most 99.')
    .required(),
  minutesPerPeriod: minutes('A period', 25, 240).required(),
  periods: number()
    .integer()
    .typeError('The periods must be a number.')
    .min(1, 'At least one period.')
    .max(12, 'At most 12 periods.')
    .required(),
  classSize: number()
    .integer()
    .typeError('The class size must be a number.')
    .min(1, 'At least one student.')
    .max(60, 'At most 60 students.')
    .required(),
  steps: array(
    object({
      technique: string().max(60).required(),
      minutes: minutes('A step', 1, 240).nullable().defined().default(null),
      dry: minutes('Drying', 0, 600).nullable().defined().default(null),
      note: string().max(500, 'A note is longer than 500 letters.').defined().default(''),
    }).required(),
  )
    .min(1, 'Choose at least one technique.')
    .max(24, 'A plan holds at most 24 steps.')
    .required(),
});

const share = number().min(0, 'A strength lies between 0 and 1.').max(1, 'A strength lies between 0 and 1.');

export const referenceChangeSchema = object({
  version: number().integer().required(),
  title: words().min(1, 'Give the reference a title.').max(120),
  credit: words().max(120),
  studentId: string().nullable(),
  strength: share,
  parts: mixed<Record<string, number>>().test(
    'parts',
    'Parts must be names with a strength from 0 to 1 each.',
    (v) =>
      v === undefined ||
      (typeof v === 'object' && v !== null && Object.keys(v).length <= 20 && Object.values(v).every((n) => share.isValidSync(n))),
  ),
});

export const referenceTickSchema = object({ ruleId: string().required(), done: boolean().required() });
