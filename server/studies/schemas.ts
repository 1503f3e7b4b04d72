/** What may be sent for studies, classes, works and rules, checked before anything is stored. */
import type { Calendar } from '../../core/lesson/calendar';
import { ITEMS } from '../../core/lesson/items';
import { BOUNDS } from '../../core/lesson/bounds';
import { Laying, MOST_PARTS } from '../../core/lesson/laying';
import { SCHOOLS } from '../../core/lesson/order';
import type { Coats, Price, Prices, Shelf } from '../../core/lesson/quantities';
import { GROUPS } from '../../core/lesson/wishes';
import type { OwnStep } from '../../core/lesson/technique';
import { isPointName, MOST_POINT_NAME } from '../../core/formats/templateFile';
import { array, boolean, mixed, number, object, string } from 'yup';
import { amount, asMessage, Message, message } from '../../core/message';
import { MOST_LEAN } from '../../core/capture/leaning';
import { LESSON_MEDIA } from '../../core/lesson/media';
import { MARK_KINDS } from '../../core/marks/kinds';
import { Ruler, RULER_LIMITS } from '../../core/proportion/bodyRulers';
import { DrillAnswer, DRILLS } from '../../core/proportion/drills';
import { LEFT_OUT_AS, LeftOutAs } from '../../core/raster/leftOut';
import { Seen, SEEN } from '../../core/style/inventory';
import type { Frame, Outline, RuleSaid } from '../schema/studies';
import { saying, words } from '../validation';

const LEAST_MM = 10;
const MOST_MM = 5000;

/** A size in mm; `of` says which, as the sentences about it know it. */
const mm = (of: 'paperWidthMm' | 'paperHeightMm' | 'widthMm' | 'heightMm') =>
  number()
    .typeError(saying('size.number', { of }))
    .min(LEAST_MM, saying('size.low', { of, n: amount(LEAST_MM, 'mm') }))
    .max(MOST_MM, saying('size.high', { of, n: amount(MOST_MM, 'mm') }));

export const studySchema = object({
  title: words().required(saying('study.title')).max(120, saying('study.titleLong')),
  master: words().required(saying('study.master')).max(120, saying('study.masterLong')),
  kind: string()
    .oneOf(['master', 'period'] as const)
    .required(),
  aim: string()
    .oneOf(['replica', 'study', 'remembered'] as const)
    .required(),
  medium: words().required(saying('study.medium')).max(60),
  about: string().max(5000).defined().default(''),
  classId: string().nullable().defined().default(null),
  paperWidthMm: mm('paperWidthMm').required(),
  paperHeightMm: mm('paperHeightMm').required(),
  otherMedia: array(words().max(60).required()).max(6, saying('study.otherMedia')).nullable(),
  otherClasses: array(string().required()).max(12, saying('study.otherClasses')),
});

const ruler = (name: Ruler) => {
  const [low, high] = RULER_LIMITS[name];
  const said = saying('ruler', { ruler: message(`carry.ruler.${name}`), low, high });
  return number().typeError(said).min(low, said).max(high, said).required();
};

/** A change names only what it changes: nothing here may have a default, which would overwrite what is stored. */
export const studyChangeSchema = studySchema.partial().shape({
  version: number().integer().required(),
  led: boolean(),
  archived: boolean(),
  bodyRulers: object({ finger: ruler('finger'), hand: ruler('hand'), fist: ruler('fist') })
    .nullable()
    .default(undefined)
    .optional(),
  about: string().max(5000),
  classId: string().nullable(),
});

/** A study begun again for another class. */
export const studyCopySchema = object({
  title: words().required(saying('study.title')).max(120, saying('study.titleLong')),
  classId: string().nullable().defined().default(null),
});

/** The sheet a piece was made on. */
export const sheetSchema = object({
  version: number().integer().required(),
  paperWidthMm: mm('paperWidthMm').required(),
  paperHeightMm: mm('paperHeightMm').required(),
});

/** How a piece comes, and how large it is where no sheet tells. */
export const comingSchema = object({
  capture: string()
    .oneOf(['photograph', 'whole', 'object'] as const, saying('piece.capture'))
    .required(),
  size: string()
    .oneOf(['sheet', 'print', 'none'] as const, saying('piece.size'))
    .required(),
});

export const captureSchema = comingSchema.shape({ version: number().integer().required() });

/** What is deleted for good is named by whoever deletes it. */
export const deletionSchema = object({ name: string().max(190).required(saying('delete.name')) });

const MOST_OUTLINES = 12;
const MOST_CORNERS = 200;
const numbersOf = (v: unknown, count: number): boolean =>
  Array.isArray(v) && v.length === count && v.every((n) => typeof n === 'number' && Number.isFinite(n));
const isOutline = (v: unknown): boolean => Array.isArray(v) && v.length >= 3 && v.length <= MOST_CORNERS && v.every((p) => numbersOf(p, 2));

export const workChangeSchema = object({
  version: number().integer().required(),
  title: words().min(1, saying('work.title')).max(120),
  dated: words().max(40),
  widthMm: mm('widthMm').nullable(),
  heightMm: mm('heightMm').nullable(),
  group: words().max(60),
  foil: boolean(),
  impressions: string().max(4000),
  credit: words().max(300),
  /** The picture proper, picture px; null where it is to be found. */
  frame: mixed<Frame>()
    .nullable()
    .test('frame', saying('frame'), (v) => v === undefined || v === null || numbersOf(v, 4)),
  /** Outlines of what is left out of every reading, picture px. */
  leftOut: mixed<Outline[]>()
    .nullable()
    .test(
      'leftOut',
      saying('leftOut', { outlines: MOST_OUTLINES, corners: MOST_CORNERS }),
      (v) => v === undefined || v === null || (Array.isArray(v) && v.length <= MOST_OUTLINES && v.every(isOutline)),
    ),
  /** Why each of them is, in their order. */
  leftOutAs: mixed<LeftOutAs[]>()
    .nullable()
    .test('leftOutAs', saying('leftOutAs'), (v) => !v || (Array.isArray(v) && v.every((w) => LEFT_OUT_AS.includes(w)))),
}).test(
  'leftOutAs',
  ({ leftOut, leftOutAs }, { createError }) =>
    !leftOutAs || leftOutAs.length === (leftOut?.length ?? 0) || createError({ path: 'leftOutAs', message: saying('leftOutAs') }),
);

/** A part of a work, px of its picture. */
export const partSchema = object({
  title: words().required(saying('work.title')).max(120),
  x: number().required(),
  y: number().required(),
  w: number().required(),
  h: number().required(),
});

export const workOrderSchema = object({ ids: array(string().required()).max(100).required() });

/** Four corners in the picture's px: top left, top right, bottom right, bottom left. */
export const straightenSchema = object({
  version: number().integer().required(),
  corners: mixed<[number, number][]>()
    .required()
    .test('corners', saying('corners'), (v) => Array.isArray(v) && v.length === 4 && v.every((p) => numbersOf(p, 2))),
});

export const cropSchema = object({
  version: number().integer().required(),
  x: number().required(),
  y: number().required(),
  w: number().required(),
  h: number().required(),
  turn: mixed<0 | 90 | 180 | 270>()
    .oneOf([0, 90, 180, 270] as const, saying('quarters'))
    .required(),
  /** Degrees clockwise beside the quarters. */
  lean: number().min(-MOST_LEAN, saying('lean')).max(MOST_LEAN, saying('lean')).defined().default(0),
});

export const factSchema = object({
  text: words().required(saying('work.fact')).max(2000),
  source: words().max(190).nullable().defined().default(null),
});

/** What an edit is called in the log: one of the sentences about edits. */
const label = (usual: string) =>
  mixed<Message>()
    .transform((v: unknown) => asMessage(v, 'edits.') ?? message(usual))
    .default(() => message(usual));

const point = mixed<[number, number]>().test(
  'point',
  saying('point'),
  (v) => Array.isArray(v) && v.length === 2 && v.every((n) => typeof n === 'number' && Number.isFinite(n)),
);

const MOST_SET_NAME = 60;
const setName = () => string().trim().max(MOST_SET_NAME);

export const setNameSchema = object({ template: string().required(), name: setName().default(''), to: setName().defined() });

const MOST_TEMPLATE_FILE = 200_000;

/** A kind of points, looked over by the core; or the text of its file. */
export const newTemplateSchema = object({ template: mixed().nullable().default(null), file: string().max(MOST_TEMPLATE_FILE).default('') });

export const templateChangeSchema = object({
  version: number().integer().min(1).required(),
  template: mixed().required(),
  renamed: mixed<Record<string, string>>()
    .test(
      'renamed',
      saying('points'),
      (v) => v === undefined || (typeof v === 'object' && v !== null && Object.values(v).every((n) => typeof n === 'string')),
    )
    .default({}),
});

const isSeen = (v: unknown): v is Seen => SEEN.some((s) => s === v);

export const motifSchema = object({ name: words().required(saying('motifName')).max(80, saying('motifName')) });

export const motifChangeSchema = object({
  version: number().integer().required(),
  name: words().min(1, saying('motifName')).max(80, saying('motifName')),
  seen: mixed<Record<string, Seen>>().test(
    'seen',
    saying('motifSeen'),
    (v) => v === undefined || (typeof v === 'object' && v !== null && !Array.isArray(v) && Object.values(v).every(isSeen)),
  ),
});

/** What a round's answers are, each with finite numbers. */
const answersOf = (v: unknown): v is DrillAnswer[] =>
  Array.isArray(v) &&
  v.length >= 1 &&
  v.length <= MOST_ANSWERS &&
  v.every((a: unknown) => {
    if (typeof a !== 'object' || a === null) return false;
    const { truth, said, error, by } = a as Record<string, unknown>;
    return [truth, said, error, ...(by === undefined ? [] : [by])].every((n) => typeof n === 'number' && Number.isFinite(n));
  });
const MOST_ANSWERS = 30;

export const roundSchema = object({
  who: string()
    .oneOf(['student', 'class', 'oneself'] as const)
    .required(),
  studentId: string().nullable().defined().default(null),
  drill: string().oneOf(DRILLS).required(),
  answers: mixed<DrillAnswer[]>()
    .required()
    .test('answers', saying('drillAnswers', { n: MOST_ANSWERS }), answersOf),
});

/** Shapes and lines are looked at one by one where they are kept: what is wrong with one is told by its name. */
export const shapesSchema = object({
  version: number().integer().min(0).required(),
  label: label('edits.shapes'),
  shapes: mixed(),
  lines: mixed(),
});

export const landmarksSchema = object({
  template: string().required(),
  name: setName().default(''),
  hidden: array(string().required()).max(80).default([]),
  again: mixed<Record<string, [number, number]>>()
    .nullable()
    .test('again', saying('points'), (v) => !v || (typeof v === 'object' && Object.values(v).every((p) => point.isValidSync(p))))
    .default(null),
  version: number().integer().min(0).required(),
  label: label('edits.points'),
  points: mixed<Record<string, [number, number]>>()
    .required()
    .test('points', saying('points'), (v) => !!v && typeof v === 'object' && Object.values(v).every((p) => point.isValidSync(p)))
    .test('names', saying('pointNames', { n: MOST_POINT_NAME }), (v) => !v || Object.keys(v).every(isPointName)),
});

/** What a rule can be ticked from: readings, departures from nature, what shapes do, what is always or never there. */
const TICKED = ['readings.', 'manner.', 'shapes.', 'inventory.'] as const;
const tickedMessage = (value: unknown): Message | null => TICKED.map((under) => asMessage(value, under)).find((m) => m !== null) ?? null;

/** A ticked reading as it was told, with where it was measured; anything else is none. */
function ruleSaid(value: unknown): RuleSaid | null {
  if (typeof value !== 'object' || value === null || !('sentence' in value) || !('evidence' in value)) return null;
  const [sentence, evidence] = [tickedMessage(value.sentence), tickedMessage(value.evidence)];
  return sentence && evidence && { sentence, evidence };
}

export const ruleSchema = object({
  kind: string()
    .oneOf(['feature', 'always', 'never'] as const)
    .required(),
  feature: string().max(80).defined().default(''),
  sentence: words().max(300, saying('rule.long')).defined().default(''),
  evidence: words().max(500).defined().default(''),
  said: mixed<RuleSaid>()
    .transform((v: unknown) => ruleSaid(v))
    .nullable()
    .defined()
    .default(null),
}) // A ticked reading says its own sentence; what nobody ticked is written.
  .test(
    'sentence',
    (r, { createError }) => r.sentence !== '' || r.said !== null || createError({ path: 'sentence', message: saying('rule.sentence') }),
  );

export const ruleChangeSchema = object({
  version: number().integer().required(),
  sentence: words().min(1, saying('rule.empty')).max(300),
  evidence: words().max(500),
});

const px = number().min(-100_000).max(100_000).required();
const figure = number().min(-1e7).max(1e7);
const size = { px: figure.required(), mm: figure.nullable().defined().default(null), permille: figure.required() };

/** A patch's reading as the reading window takes it: its own figures and nothing else. */
const readingSchema = object({
  kind: string().oneOf(MARK_KINDS, saying('reading.kind')).nullable().defined(),
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
  patch: array(px).length(4, saying('reading.patch')).required(),
  reading: readingSchema.required(saying('reading.none')),
});

/** A whole number between two, with one sentence for whatever is wrong with it. */
const whole = (low: number, high: number, wrong: () => Message) =>
  number().typeError(wrong).integer(wrong).min(low, wrong).max(high, wrong);

const coatsAre = (v: unknown): boolean =>
  typeof v === 'object' &&
  v !== null &&
  Object.entries(v).every(([id, ml]) => Object.hasOwn(ITEMS, id) && typeof ml === 'number' && ml > 0 && ml <= 200);

const shelfIs = (v: unknown): boolean =>
  typeof v === 'object' &&
  v !== null &&
  Object.keys(v).length <= 120 &&
  Object.entries(v).every(([k, n]) => k.length <= 80 && typeof n === 'number' && n >= 0 && n <= 100_000);

const pricesAre = (v: unknown): boolean =>
  typeof v === 'object' &&
  v !== null &&
  Object.keys(v).length <= 120 &&
  Object.entries(v as Record<string, Partial<Price> | null>).every(
    ([k, p]) => k.length <= 80 && isAbove(p?.pack, 0, 100_000) && isAbove(p?.cost, -1e-9, 1_000_000),
  );

const isAbove = (n: unknown, low: number, high: number): boolean => typeof n === 'number' && n > low && n <= high;

const isColour = (v: unknown): boolean => typeof v === 'string' && /^#[0-9a-f]{6}$/i.test(v);

const layingIs = ({ tool, parts, known, colours }: Partial<Record<keyof Laying, unknown>>): boolean =>
  typeof tool === 'string' &&
  tool.length <= 80 &&
  (parts === null || (Number.isInteger(parts) && (parts as number) >= 0 && (parts as number) <= MOST_PARTS)) &&
  typeof known === 'boolean' &&
  (colours === null || (Array.isArray(colours) && colours.length <= 24 && colours.every(isColour)));

/** Whether it has the fields of a calendar; what is wrong with their values is told by name. */
const calendarIs = (v: Partial<Record<keyof Calendar, unknown>>): v is Calendar =>
  typeof v.from === 'string' &&
  typeof v.at === 'string' &&
  Array.isArray(v.weekdays) &&
  (v.minutes === undefined || (typeof v.minutes === 'object' && v.minutes !== null && Object.keys(v.minutes).length <= 7)) &&
  Array.isArray(v.off) &&
  v.off.length <= 60 &&
  v.off.every((o: unknown) => Array.isArray(o) && o.length === 2 && o.every((d) => typeof d === 'string'));

export const planSchema = object({
  version: number().integer().min(0).required(),
  label: label('edits.plan'),
  medium: string().oneOf(LESSON_MEDIA, saying('study.medium')).required(),
  ink: string()
    .oneOf(['waterproof', 'washable'] as const)
    .required(),
  contact: string()
    .oneOf(['light-pencil', 'straight-in'] as const)
    .required(),
  erasing: boolean().required(),
  outline: string().oneOf(SCHOOLS.outline).default('any'),
  lineOrTone: string().oneOf(SCHOOLS.lineOrTone).default('any'),
  blending: string().oneOf(SCHOOLS.blending).default('any'),
  second: object({
    students: whole(1, 59, saying('plan.second')).required(),
    youngest: whole(...BOUNDS.youngest, saying('plan.youngest')).required(),
  })
    .nullable()
    .default(null),
  room: object({
    sinks: whole(...BOUNDS.sinks, saying('plan.sinks'))
      .nullable()
      .defined()
      .default(null),
    rack: whole(...BOUNDS.rack, saying('plan.rack'))
      .nullable()
      .defined()
      .default(null),
  }).default({ sinks: null, rack: null }),
  prices: mixed<Prices>()
    .test('prices', saying('plan.prices'), (v) => v === undefined || pricesAre(v))
    .default({}),
  used: array(
    object({
      what: words().min(1, saying('plan.used')).max(120, saying('plan.used')).required(saying('plan.used')),
      source: words().max(190, saying('plan.used')).defined().default(''),
      instead: words().max(120, saying('plan.used')).defined().default(''),
    }).required(),
  )
    .max(12, saying('plan.used'))
    .default([]),
  coats: mixed<Coats>()
    .test('coats', saying('plan.coats'), (v) => v === undefined || coatsAre(v))
    .default({}),
  shelf: mixed<Shelf>()
    .test('shelf', saying('plan.shelf'), (v) => v === undefined || shelfIs(v))
    .default({}),
  calendar: mixed<Calendar>()
    .nullable()
    .test('calendar', saying('plan.calendar'), (v) => v === null || v === undefined || calendarIs(v))
    .default(null),
  youngest: whole(...BOUNDS.youngest, saying('plan.youngest')).required(),
  minutesPerPeriod: whole(...BOUNDS.minutesPerPeriod, saying('plan.minutes')).required(),
  periods: whole(...BOUNDS.periods, saying('plan.periods')).required(),
  classSize: whole(...BOUNDS.classSize, saying('plan.classSize')).required(),
  steps: array(
    object({
      technique: string().max(60).required(),
      minutes: whole(1, 240, saying('plan.step')).nullable().defined().default(null),
      dry: whole(0, 600, saying('plan.dry')).nullable().defined().default(null),
      note: string().max(500, saying('plan.note')).defined().default(''),
      // What a step of one's own lacks is told by its field where it is kept.
      own: mixed<OwnStep>().nullable().defined().default(null),
      option: string().max(80).nullable().defined().default(null),
      kept: array(string().max(40).required()).max(40).default([]),
      pictureId: string().max(64).nullable().defined().default(null),
      group: string().oneOf(GROUPS).default('both'),
      laying: mixed<Laying>()
        .nullable()
        .test('laying', saying('plan.laying'), (v) => v === null || v === undefined || layingIs(v))
        .defined()
        .default(null),
      built: boolean().default(false),
    }).required(),
  )
    .min(1, saying('plan.steps'))
    .max(24, saying('most.steps'))
    .required(),
});

const share = number().min(0, saying('reference.strength')).max(1, saying('reference.strength'));

export const referenceChangeSchema = object({
  version: number().integer().required(),
  title: words().min(1, saying('reference.title')).max(120),
  credit: words().max(120),
  studentId: string().nullable(),
  strength: share,
  parts: mixed<Record<string, number>>().test(
    'parts',
    saying('reference.parts'),
    (v) =>
      v === undefined ||
      (typeof v === 'object' && v !== null && Object.keys(v).length <= 20 && Object.values(v).every((n) => share.isValidSync(n))),
  ),
});

export const referenceTickSchema = object({ ruleId: string().required(), done: boolean().required() });

/** Steps of one's own for the library: one, or a file of them. */
export const ownStepSchema = object({ step: mixed(), file: string().max(400_000) }).test(
  'one',
  saying('plan.ownStep'),
  (v) => (v.step === undefined) !== (v.file === undefined),
);

/** A period as it was held. */
export const lessonRunSchema = object({
  period: whole(0, 119, saying('plan.run')).required(),
  turns: array(
    object({
      of: string().min(1).max(80).required(),
      planned: whole(0, 600, saying('plan.run')).required(),
      took: whole(0, 600, saying('plan.run')).required(),
    }).required(),
  )
    .min(1, saying('plan.run'))
    .max(60)
    .required(),
});
