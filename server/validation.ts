/** Knows what is said of a field that cannot be used, where its schema says nothing of its own: a sentence, never the library's English. */
import { setLocale, string } from 'yup';
import { Message, typed, Values } from '../core/message';
import type { KeyUnder } from '../words/catalogue';
import { sentence } from './errors';

/** What a schema says of its own; the library takes anything but text only from a function. */
export const saying =
  (key: KeyUnder<'errors'>, values?: Values): (() => Message) =>
  () =>
    sentence(key, values);

/** Text without spaces at its ends. The library's own trimming breaks on what is no text at all. */
export const words = () => string().transform((v: unknown) => (typeof v === 'string' ? v.trim() : v));

interface At {
  path: string;
}

const field = ({ path }: At) => ({ name: typed(path) });

setLocale({
  mixed: {
    default: (at: At) => sentence('field.invalid', field(at)),
    required: (at: At) => sentence('field.required', field(at)),
    defined: (at: At) => sentence('field.required', field(at)),
    notNull: (at: At) => sentence('field.required', field(at)),
    oneOf: (at: At & { values: string }) => sentence('field.oneOf', { ...field(at), known: typed(at.values) }),
    notOneOf: (at: At) => sentence('field.invalid', field(at)),
    notType: (at: At & { type: string }) => sentence(at.type === 'string' ? 'field.text' : 'field.kind', field(at)),
  },
  string: {
    length: (at: At & { length: number }) => sentence('field.length', { ...field(at), n: at.length }),
    min: (at: At & { min: number }) => sentence('field.short', { ...field(at), n: at.min }),
    max: (at: At & { max: number }) => sentence('field.long', { ...field(at), n: at.max }),
    email: (at: At) => sentence('field.email', field(at)),
  },
  number: {
    min: (at: At & { min: number }) => sentence('field.low', { ...field(at), n: at.min }),
    max: (at: At & { max: number }) => sentence('field.high', { ...field(at), n: at.max }),
    integer: (at: At) => sentence('field.integer', field(at)),
  },
  array: {
    length: (at: At & { length: number }) => sentence('field.length', { ...field(at), n: at.length }),
    min: (at: At & { min: number }) => sentence('field.few', { ...field(at), n: at.min }),
    max: (at: At & { max: number }) => sentence('field.many', { ...field(at), n: at.max }),
  },
  object: { noUnknown: (at: At) => sentence('field.unknown', field(at)) },
});
