/** Knows what commonly goes wrong at a step, and that each has a remedy. Common practice of the trade, no source. */
import { Message, message } from '../message';
import { beside, lays, Technique } from './technique';

/** Each accident, where it can happen. What helps stands under `accidents` in `words/`. */
const ACCIDENTS: Readonly<Record<string, (t: Technique) => boolean>> = {
  'ink-run': (t) => !!t.ink && t.role !== 'wash',
  bloom: (t) => t.role === 'wash' || t.role === 'ground',
  torn: (t) => t.role === 'rub-out' || t.role === 'wash' || t.role === 'ground' || t.lifter === 'water',
  'out-of-room': (t) => t.role === 'draft' && t.id !== 'lay-parts',
  smudged: (t) => lays(t, 'dusty') || (lays(t, 'smearing') && !t.ink),
  'wax-astray': (t) => lays(t, 'waxy'),
  cracked: (t) => lays(t, 'thick') && t.role === 'paint',
  'cut-wrong': (t) => Object.hasOwn(t.items, 'scissors') || Object.hasOwn(t.items, 'cutter'),
  'glued-wrong': (t) => Object.hasOwn(t.items, 'glue'),
  'not-saved': (t) => Object.hasOwn(t.items, 'tablet'),
};

/** What to do about each common accident of a step; a step beside the sheet spoils none but by cutting. */
export const remediesAt = (t: Technique): Message[] =>
  Object.entries(ACCIDENTS).flatMap(([name, can]) =>
    can(t) && (!beside(t) || name === 'cut-wrong') ? [message(`accidents.${name}`)] : [],
  );
