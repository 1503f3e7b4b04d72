/** What lies in a teacher's cupboard: boxes, and the materials in each. */
import type { MaterialKind, Properties } from '../../core/colour/materials';
import type { Tint } from '../../core/colour/pigment';
import { check, double, int, mysqlTable, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import { sql } from 'drizzle-orm';
import { user } from './accounts';
import { id, jsonText, key } from './types';

export const kits = mysqlTable(
  'kits',
  {
    id: id(),
    teacherId: key('teacher_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    name: varchar('name', { length: 120 }).notNull(),
    /** Name of the material that is white; null where colours are let down with water. */
    white: varchar('white', { length: 80 }),
    version: int('version').notNull().default(1),
  },
  (t) => [uniqueIndex('kits_name').on(t.teacherId, t.name)],
);

export const materials = mysqlTable(
  'materials',
  {
    id: id(),
    kitId: key('kit_id')
      .notNull()
      .references(() => kits.id, { onDelete: 'cascade' }),
    position: int('position').notNull(),
    kind: varchar('kind', { length: 20 }).$type<MaterialKind>().notNull(),
    name: varchar('name', { length: 80 }).notNull(),
    pigment: varchar('pigment', { length: 60 }).notNull().default(''),
    /** Laid thick, or a paper's tone; null for a tool. */
    masstone: varchar('masstone', { length: 7 }),
    tintHex: varchar('tint_hex', { length: 7 }),
    tintPaint: int('tint_paint'),
    tintWhite: int('tint_white'),
    /** Further tints, each with its parts; null for none. */
    tints: jsonText<Tint[]>('tints'),
    strength: double('strength').notNull().default(1),
    properties: jsonText<Properties>('properties').notNull(),
    /** What a file said of it that is not known here. */
    extra: jsonText<Record<string, unknown>>('extra'),
    version: int('version').notNull().default(1),
  },
  (t) => [uniqueIndex('materials_name').on(t.kitId, t.name), check('materials_strength', sql`${t.strength} > 0`)],
);
