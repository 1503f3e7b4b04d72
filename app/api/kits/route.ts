import { readCupboardFile } from '@/core/formats/cupboardFile';
import { message } from '@/core/message';
import { sayHere } from '@/app/voice';
import { addKit, addReadySet, copyKit, listKits } from '@/server/cupboard/kits';
import { kitSchema } from '@/server/cupboard/schemas';
import { body, handle } from '@/server/door/http';

export const GET = handle(({ teacher }) => listKits(teacher.id));

/** A new kit: a copy, a ready set, one from a file, or an empty one. */
export const POST = handle(async ({ teacher, request }) => {
  const { name, set, copyOf, file } = await body(request, kitSchema);
  const say = await sayHere();
  if (copyOf) return { id: await copyKit(teacher.id, copyOf) };
  if (set) {
    const called = (colour: string) => say(message(`cupboard.colours.${colour}`));
    return { id: await addReadySet(teacher.id, set, name || say(`cupboard.sets.${set}`), called) };
  }
  const read = file ? readCupboardFile(file) : { name: '', white: null, materials: [] };
  return { id: await addKit(teacher.id, { ...read, name: (name || read.name || say('cupboard.unnamed')).slice(0, 120) }) };
});
