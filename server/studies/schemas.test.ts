import { stepOf } from '../../core/lesson/wishes';
import type { Message } from '../../core/message';
import { english } from '../../tests/support/english';
import { AnyObjectSchema, ValidationError } from 'yup';
import { NEW_STUDY } from '../../tests/support/study';
import { classSchema } from '../classes/schemas';
import {
  cropSchema,
  landmarksSchema,
  motifChangeSchema,
  planSchema,
  referenceChangeSchema,
  roundSchema,
  ruleChangeSchema,
  ruleSchema,
  studyChangeSchema,
  pinSchema,
  studySchema,
  workChangeSchema,
} from './schemas';

const fault = (schema: AnyObjectSchema, value: unknown): { path?: string; message: string } | null => {
  try {
    schema.validateSync(value, { abortEarly: true, stripUnknown: true });
    return null;
  } catch (error) {
    const { path, errors } = error as ValidationError;
    return { path, message: english(errors[0] as unknown as Message) };
  }
};

test('a change holds only what was sent: what is not named stays as it is stored', () => {
  const changes: [AnyObjectSchema, Record<string, unknown>][] = [
    [studyChangeSchema, { version: 1, aim: 'replica' }],
    [studyChangeSchema, { version: 1 }],
    [workChangeSchema, { version: 3, foil: true }],
    [ruleChangeSchema, { version: 1, sentence: 'Hands are never shown.' }],
    [referenceChangeSchema, { version: 2, strength: 0.4 }],
  ];
  for (const [schema, sent] of changes) {
    const read = schema.validateSync(sent, { stripUnknown: true }) as Record<string, unknown>;
    expect(Object.fromEntries(Object.entries(read).filter(([, v]) => v !== undefined))).toEqual(sent);
  }
  // What is sent as nothing is nothing.
  expect(studyChangeSchema.validateSync({ version: 1, classId: null })).toEqual({ version: 1, classId: null });
});

const { about: _about, classId: _class, ...STUDY } = NEW_STUDY;

test('a new study without class or words begins with none, and each fault is named by its field', () => {
  expect(studySchema.validateSync(STUDY)).toMatchObject({ about: '', classId: null });
  const faults: [Record<string, unknown>, string, RegExp][] = [
    [{ title: '  ' }, 'title', /name/],
    [{ title: 'x'.repeat(121) }, 'title', /120/],
    [{ paperWidthMm: 5 }, 'paperWidthMm', /at least 10 mm/],
    [{ paperWidthMm: 'wide' }, 'paperWidthMm', /number of mm/],
    [{ paperHeightMm: 6000 }, 'paperHeightMm', /at most 5,000 mm/],
    [{ aim: 'perfect' }, 'aim', /aim/],
  ];
  for (const [change, path, message] of faults) {
    const told = fault(studySchema, { ...STUDY, ...change })!;
    expect(told.path).toBe(path);
    expect(told.message).toMatch(message);
  }
});

test('points are names with two finite numbers; crops turn by quarters; rules need their sentence', () => {
  const points = (p: unknown) => fault(landmarksSchema, { template: 'free', version: 0, points: p });
  expect(points({ a: [1, 2] })).toBeNull();
  for (const bad of [{ a: [1] }, { a: [1, NaN] }, { a: [1, Infinity] }, { a: '1,2' }, { a: [1, 2, 3] }, 'points'])
    expect(points(bad)?.path).toBe('points');
  expect(fault(cropSchema, { version: 1, x: 0, y: 0, w: 9, h: 9, turn: 45 })?.message).toMatch(/0, 90, 180 or 270/);
  expect(fault(ruleSchema, { kind: 'never', sentence: ' ' })?.path).toBe('sentence');
  expect(fault(classSchema, { name: '7A', students: [{ firstName: '' }] })?.message).toMatch(/first name/);
  expect(fault(classSchema, { name: '7A', students: Array.from({ length: 61 }, () => ({ firstName: 'Ada' })) })?.message).toMatch(/60/);
});

test('a plan’s numbers are whole, bounded, and told in words', () => {
  const plan = {
    version: 0,
    medium: 'pen',
    ink: 'waterproof',
    contact: 'light-pencil',
    erasing: true,
    youngest: 13,
    minutesPerPeriod: 50,
    periods: 2,
    classSize: 24,
    steps: [{ technique: 'pen-line' }],
  };
  expect(planSchema.validateSync(plan).steps).toEqual([stepOf('pen-line')]);
  expect(planSchema.validateSync(plan)).toMatchObject({
    outline: 'any',
    lineOrTone: 'any',
    blending: 'any',
    second: null,
    room: { sinks: null, rack: null },
    coats: {},
    shelf: {},
    prices: {},
    used: [],
    calendar: null,
  });
  const faults: [Record<string, unknown>, string][] = [
    [{ coats: { ink: -1 } }, 'coats'],
    [{ coats: { gravy: 1 } }, 'coats'],
    [{ shelf: { pen: -2 } }, 'shelf'],
    [{ calendar: { from: '2026-09-01' } }, 'calendar'],
    [{ outline: 'middle' }, 'outline'],
    [{ lineOrTone: 'colour' }, 'lineOrTone'],
    [{ second: { students: 0, youngest: 8 } }, 'second.students'],
    [{ second: { students: 5 } }, 'second.youngest'],
    [{ room: { sinks: 0, rack: 1 } }, 'room.sinks'],
    [{ room: { sinks: 1, rack: -1 } }, 'room.rack'],
    [{ prices: { pen: { pack: 0, cost: 1 } } }, 'prices'],
    [{ prices: { pen: { pack: 1, cost: -1 } } }, 'prices'],
    [{ prices: { pen: null } }, 'prices'],
    [{ used: [{ what: '' }] }, 'used[0].what'],
    [{ used: [{ what: 'x'.repeat(121) }] }, 'used[0].what'],
    [{ steps: [{ technique: 'pen-line', group: 'third' }] }, 'steps[0].group'],
    [{ steps: [{ technique: 'pen-line', laying: { tool: 'reed', parts: 1.5, known: true, colours: null } }] }, 'steps[0].laying'],
    [{ steps: [{ technique: 'pen-line', laying: { tool: 'reed', parts: 1, known: true, colours: ['red'] } }] }, 'steps[0].laying'],
    [{ steps: [{ technique: 'pen-line', laying: { parts: 1 } }] }, 'steps[0].laying'],
    [{ minutesPerPeriod: 24 }, 'minutesPerPeriod'],
    [{ minutesPerPeriod: 50.5 }, 'minutesPerPeriod'],
    [{ classSize: 0 }, 'classSize'],
    [{ youngest: 'ten' }, 'youngest'],
    [{ steps: [] }, 'steps'],
    [{ steps: [{ technique: 'pen-line', minutes: 0 }] }, 'steps[0].minutes'],
    [{ medium: 'lava' }, 'medium'],
  ];
  for (const [change, path] of faults) expect(fault(planSchema, { ...plan, ...change })?.path).toBe(path);
});

test('a kept patch holds a reading’s own figures and nothing else; points have plain names', () => {
  const reading = {
    kind: 'line',
    confidence: 0.8,
    directions: [{ angle: 20, weight: 1 }],
    coherence: 0.7,
    crossing: null,
    spacing: { px: 12, mm: null, permille: 25, variation: 0.1 },
    lineWidth: null,
    strokeLength: null,
    straightness: 0.9,
    coverage: 0.2,
  };
  const patch = [0, 0, 100, 80];
  expect(pinSchema.validateSync({ patch, reading: { ...reading, more: 'x'.repeat(1000) } }, { stripUnknown: true })).toEqual({
    patch,
    reading,
  });
  const faults: [Record<string, unknown>, string][] = [
    [{ ...reading, kind: 'blood' }, 'reading.kind'],
    [{ ...reading, directions: Array.from({ length: 9 }, () => ({ angle: 1, weight: 1 })) }, 'reading.directions'],
    [{ ...reading, spacing: 'wide' }, 'reading.spacing'],
    [{ ...reading, coverage: 1e300 }, 'reading.coverage'],
  ];
  for (const [wrong, path] of faults) expect([path, fault(pinSchema, { patch, reading: wrong })?.path]).toEqual([path, path]);
  expect(fault(pinSchema, { patch })?.path).toMatch(/^reading/);
  const named = (name: string) => fault(landmarksSchema, { template: 'free', version: 0, points: { [name]: [1, 2] } });
  expect(named('mast top')).toBeNull();
  for (const name of ['', 'x'.repeat(41), '<b>', 'a\nb', '__proto__ ']) expect([name, named(name)?.path]).toEqual([name, 'points']);
});

test('what is no text where text is wanted is refused by its field, whatever it is', () => {
  for (const sentence of [[], ['x'], {}, 7, true])
    expect([sentence, fault(ruleSchema, { kind: 'never', sentence })?.path ?? null]).toEqual([
      sentence,
      typeof sentence === 'object' ? 'sentence' : null,
    ]);
});

test('a rule is ticked from what the benches tell, and from no other sentence', () => {
  const ticked = (key: string) => ({ kind: 'always', said: { sentence: { key }, evidence: { key: 'readings.evidence.one' } } });
  for (const key of ['readings.range', 'manner.same', 'shapes.free', 'inventory.rule.hidden'])
    expect(fault(ruleSchema, ticked(key))).toBeNull();
  expect(fault(ruleSchema, ticked('errors.wrong'))?.path).toBe('sentence');
});

test('body rulers are widths a hand can have, a round has answers with numbers, a motif stands in one of five ways', () => {
  const rulers = { finger: 14, hand: 62, fist: 75 };
  expect(fault(studyChangeSchema, { version: 1, bodyRulers: rulers })).toBeNull();
  expect(fault(studyChangeSchema, { version: 1, bodyRulers: null })).toBeNull();
  expect(fault(studyChangeSchema, { version: 1, bodyRulers: { ...rulers, finger: 2 } })?.message).toMatch(/finger’s width.*from 6 to 30/);
  expect(studyChangeSchema.validateSync({ version: 1 })).not.toHaveProperty('bodyRulers');
  const round = { who: 'class', drill: 'ratio', answers: [{ truth: 2, said: 2.2, error: 0.1 }] };
  expect(fault(roundSchema, round)).toBeNull();
  for (const answers of [[], [{ truth: 2 }], [{ truth: 2, said: '2', error: 0 }], Array(31).fill(round.answers[0])])
    expect(fault(roundSchema, { ...round, answers })?.path).toBe('answers');
  expect(fault(roundSchema, { ...round, drill: 'guess' })?.path).toBe('drill');
  expect(fault(motifChangeSchema, { version: 1, seen: { a: 'hidden' } })).toBeNull();
  expect(fault(motifChangeSchema, { version: 1, seen: { a: 'maybe' } })?.path).toBe('seen');
});
