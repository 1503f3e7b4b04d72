/** Knows a kit's swatch sheet: how it is laid out on the teacher's paper, what a photograph of it says beside what was known, and how that is taken over. */
import { and, eq, inArray } from 'drizzle-orm';
import { SwatchSheet, swatchSheet } from '../../core/capture/swatchSheet';
import { tintsOf } from '../../core/colour/kit';
import type { Tint } from '../../core/colour/pigment';
import { message, Message, typed } from '../../core/message';
import { onDesk } from '../accounts/ownership';
import { paperIn, settingsOf } from '../accounts/settings';
import { logged } from '../edits/log';
import { conflict, notFound, sentence, UserError } from '../errors';
import { checkPicture } from '../pictures/decode';
import { materials } from '../schema';
import { inThread } from '../threads/threads';
import { kitOf, StoredKit } from './kits';

export async function sheetOfKit(teacherId: string, kitId: string): Promise<{ kit: StoredKit; sheet: SwatchSheet }> {
  const kit = await kitOf(teacherId, kitId);
  return { kit, sheet: swatchSheet(kit.materials, kit.white, paperIn(await settingsOf(teacherId))) };
}

/** One box as it was known and as it is seen. */
export interface SwatchRead {
  materialId: string;
  version: number;
  name: string;
  parts: [number, number] | null;
  before: string | null;
  /** Null where nothing was painted. */
  now: string | null;
  spread: number;
}

/** What a photograph of one page says; nothing of it is kept. */
export async function readSheet(
  teacherId: string,
  kitId: string,
  page: number,
  bytes: Buffer,
  name: string,
): Promise<{ boxes: SwatchRead[]; card: boolean; warnings: Message[] }> {
  const { kit, sheet } = await sheetOfKit(teacherId, kitId);
  if (!sheet.pages[page]) throw new UserError(400, sentence('swatches.page', { n: sheet.pages.length }), 'page');
  await checkPicture(bytes, name);
  const { boxes, card, warnings } = await inThread({ task: 'read-swatches', bytes, name, sheet, page });
  return {
    card,
    warnings,
    boxes: boxes.map(({ material, parts, hex, spread }) => {
      const { id, version, name: called, masstone, ...m } = kit.materials[material];
      const before = parts === null ? masstone : (tintsOf(m).find((t) => t.parts.join() === parts.join())?.hex ?? null);
      return { materialId: id, version, name: called, parts, before, now: hex, spread };
    }),
  };
}

/** What is taken over of a material: its colour laid thick, and tints by their parts. */
export interface SwatchTaken {
  id: string;
  version: number;
  masstone?: string | null;
  tints: Tint[];
}

/** Takes read colours over; a tint of the same parts is replaced, others stay. One edit, undone as one. */
export function takeSwatches(teacherId: string, kitId: string, taken: readonly SwatchTaken[]): Promise<void> {
  return onDesk(teacherId, async (tx) => {
    const kit = await kitOf(teacherId, kitId, tx);
    const ids = taken.map((t) => t.id);
    const about = {
      teacherId,
      studyId: null,
      subject: 'kit',
      subjectId: kitId,
      label: message('edits.swatches', { name: typed(kit.name), n: taken.length }),
    };
    const where = and(eq(materials.kitId, kitId), inArray(materials.id, ['', ...ids]))!;
    await logged(tx, about, [{ table: materials, where }], async () => {
      for (const { id, version, masstone, tints } of taken) {
        const before = kit.materials.find((m) => m.id === id);
        if (!before) throw notFound('material');
        if (before.version !== version) throw conflict('material');
        const others = tintsOf(before).filter((t) => !tints.some((n) => n.parts.join() === t.parts.join()));
        const [first = null, ...rest] = [...tints, ...others].sort((a, b) => a.parts[1] / a.parts[0] - b.parts[1] / b.parts[0]);
        await tx
          .update(materials)
          .set({
            ...(masstone ? { masstone } : {}),
            tintHex: first?.hex ?? null,
            tintPaint: first?.parts[0] ?? null,
            tintWhite: first?.parts[1] ?? null,
            tints: rest.length ? rest : null,
            version: version + 1,
          })
          .where(eq(materials.id, id));
      }
    });
  });
}
