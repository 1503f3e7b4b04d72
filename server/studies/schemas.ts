/** What may be sent for studies, classes, works and rules, checked before anything is stored. */
import { array, boolean, mixed, number, object, string } from 'yup';

const mm = (label: string) =>
  number()
    .typeError(`${label} must be a number of mm.`)
    .min(10, `${label} must be at least 10 mm.`)
    .max(5000, `${label} must be at most 5000 mm.`);

export const studySchema = object({
  title: string().trim().required('Give the study a name.').max(120, 'The name is longer than 120 letters.'),
  master: string().trim().required('Say whose hand it is.').max(120, 'The master’s name is longer than 120 letters.'),
  kind: string().oneOf(['master', 'period'] as const).required(),
  aim: string().oneOf(['replica', 'study', 'remembered'] as const).required(),
  medium: string().trim().required('Choose a medium.').max(60),
  about: string().max(5000).defined().default(''),
  classId: string().nullable().defined().default(null),
  paperWidthMm: mm('The sheet’s width').required(),
  paperHeightMm: mm('The sheet’s height').required(),
}); // prettier-ignore

export const studyChangeSchema = studySchema.partial();

export const classSchema = object({
  name: string().trim().required('Give the class a name.').max(80),
  school: string().trim().max(120).defined().default(''),
  students: array(object({ firstName: string().trim().required('Every student needs a first name.').max(40), initial: string().trim().max(2).defined().default('') })).max(60, 'A class holds at most 60 students.').defined().default([]),
}); // prettier-ignore

export const workChangeSchema = object({
  version: number().integer().required(),
  title: string().trim().min(1, 'Give the work a title.').max(120),
  dated: string().trim().max(40),
  widthMm: mm('The width').nullable(),
  heightMm: mm('The height').nullable(),
  group: string().trim().max(60),
  foil: boolean(),
  impressions: string().max(4000),
});

export const cropSchema = object({
  version: number().integer().required(),
  x: number().required(),
  y: number().required(),
  w: number().required(),
  h: number().required(),
  turn: mixed<0 | 90 | 180 | 270>().oneOf([0, 90, 180, 270] as const, 'Turn by quarters: 0, 90, 180 or 270.').required(),
}); // prettier-ignore

export const factSchema = object({ text: string().trim().required('Write the fact down.').max(2000), source: string().trim().max(190).nullable().defined().default(null) }); // prettier-ignore

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
    ),
});

export const ruleSchema = object({
  kind: string().oneOf(['feature', 'always', 'never'] as const).required(),
  feature: string().max(80).defined().default(''),
  sentence: string().trim().required('Write the rule as a sentence.').max(300, 'The sentence is longer than 300 letters.'),
  evidence: string().trim().max(500).defined().default(''),
}); // prettier-ignore

export const ruleChangeSchema = object({ version: number().integer().required(), sentence: string().trim().min(1, 'A rule needs its sentence.').max(300), evidence: string().trim().max(500) }); // prettier-ignore

export const pinSchema = object({
  patch: array(number().required()).length(4, 'A patch is x, y, width and height.').required(),
  reading: mixed().required(),
}); // prettier-ignore
