/** What may be sent for the cupboard, checked before anything is stored. */
import { array, boolean, mixed, number, object, ObjectShape, string } from 'yup';
import { MATERIAL_KINDS, Properties, PROPERTIES } from '../../core/colour/materials';
import { isReadySet, ReadySet } from '../../core/colour/readySets';
import { MOST_TINTS } from '../../core/formats/kitFile';
import { amount, message, typed } from '../../core/message';
import { saying, words } from '../validation';

const HEX = /^#[0-9a-f]{6}$/;
const hex = () =>
  string()
    .transform((v: unknown) => (typeof v === 'string' ? v.toLowerCase() : v))
    .matches(HEX, saying('material.colour'));

/** A field left empty is a property not known. */
const unknown = (v: unknown, given: unknown) => (given === '' || given === null ? undefined : v);

const shape: ObjectShape = Object.fromEntries(
  Object.entries(PROPERTIES).map(([name, asked]) => {
    const property = message(`materials.properties.${name}`);
    if (asked.as === 'flag') return [name, boolean().transform(unknown)];
    if (asked.as === 'text') return [name, string().max(asked.most)];
    if (asked.as === 'choice') return [name, string().transform(unknown).oneOf(asked.of)];
    const bound = (n: number) => (asked.unit === 'mm' ? amount(n, 'mm') : typed(String(n)));
    const wrong = saying('material.between', { property, least: bound(asked.least), most: bound(asked.most) });
    return [name, number().transform(unknown).typeError(wrong).min(asked.least, wrong).max(asked.most, wrong)];
  }),
);

const part = () =>
  number()
    .typeError(saying('material.parts'))
    .integer(saying('material.parts'))
    .min(1, saying('material.parts'))
    .max(100, saying('material.parts'));

const tint = () =>
  object({
    hex: hex().required(saying('material.colour')),
    parts: mixed<[number, number]>()
      .required()
      .test('parts', saying('material.parts'), (v) => Array.isArray(v) && v.length === 2 && v.every((n) => part().isValidSync(n))),
  });

export const materialSchema = object({
  kind: string().oneOf(MATERIAL_KINDS).required(),
  name: words().required(saying('material.name')).max(80, saying('material.nameLong')),
  pigment: words().max(60, saying('material.pigmentLong')).defined().default(''),
  masstone: hex()
    .nullable()
    .defined()
    .default(null)
    .when('kind', ([kind], s) => (kind === 'tool' ? s : s.required(saying('material.colour')))),
  tint: tint().nullable().defined().default(null),
  tints: array(tint().required()).max(MOST_TINTS, saying('material.tints', { n: MOST_TINTS })),
  strength: number().positive(saying('material.strength')).max(100, saying('material.strength')).defined().default(1),
  properties: object(shape).defined().default({}) as unknown as ReturnType<ReturnType<typeof mixed<Properties>>['required']>,
});

export const materialChangeSchema = materialSchema.shape({ version: number().integer().required() });

/** Colours read from a photograph of the swatch sheet, to be taken over. */
export const swatchesSchema = object({
  taken: array(
    object({
      id: string().required(),
      version: number().integer().required(),
      masstone: hex().nullable().defined().default(null),
      tints: array(tint().required())
        .max(MOST_TINTS, saying('material.tints', { n: MOST_TINTS }))
        .defined()
        .default([]),
    }).required(),
  )
    .min(1)
    .max(200)
    .required(),
});

const MOST_FILE = 120_000;

/** A new kit: an empty one, a ready set, a copy of one there is, or one from a file's text. */
export const kitSchema = object({
  name: words().max(120, saying('kit.nameLong')).defined().default(''),
  set: mixed<ReadySet>().test('set', saying('kit.set'), (v) => v === undefined || (typeof v === 'string' && isReadySet(v))),
  copyOf: string(),
  file: string().max(MOST_FILE, saying('kit.fileLong')),
});

export const kitChangeSchema = object({
  version: number().integer().required(),
  name: words().min(1, saying('kit.name')).max(120, saying('kit.nameLong')),
  white: string().max(80).nullable(),
});
