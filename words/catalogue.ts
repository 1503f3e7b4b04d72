/** The shape every language fills: the keys of the English sentences. */
import type { en } from './en';

type Filled<T> = { readonly [K in keyof T]: T[K] extends string ? string : Filled<T[K]> };

export type Catalogue = Filled<typeof en>;

type Leaves<T> = { [K in keyof T & string]: T[K] extends string ? K : `${K}.${Leaves<T[K]>}` }[keyof T & string];

/** The key of a sentence, parted by dots. */
export type Key = Leaves<typeof en>;

/** The keys under one part of the catalogue, as seen from there. */
export type KeyUnder<Part extends keyof typeof en> = Leaves<(typeof en)[Part]>;
