import { kitAsCsv, kitAsJson, kitAsSvg } from '@/core/formats/cupboardFile';
import { changeKit, kitOf, removeKit } from '@/server/cupboard/kits';
import { kitChangeSchema } from '@/server/cupboard/schemas';
import { body, fileAnswer, handle } from '@/server/door/http';

/** What each file of a kit is made by. */
const FILES = {
  json: ['application/json', kitAsJson],
  csv: ['text/csv; charset=utf-8', kitAsCsv],
  svg: ['image/svg+xml', kitAsSvg],
} as const;

/** A kit; with `as` one of its files. */
export const GET = handle(async ({ teacher, request, params }) => {
  const kit = await kitOf(teacher.id, params.kit);
  const as = new URL(request.url).searchParams.get('as') ?? '';
  if (!Object.hasOwn(FILES, as)) return kit;
  const [type, make] = FILES[as as keyof typeof FILES];
  return fileAnswer(make(kit), type, `${kit.name}.${as}`);
});

export const PATCH = handle(async ({ teacher, request, params }) => {
  await kitOf(teacher.id, params.kit);
  const { version, ...fields } = await body(request, kitChangeSchema);
  return { version: await changeKit(teacher.id, params.kit, version, fields) };
});

export const DELETE = handle(({ teacher, params }) => removeKit(teacher.id, params.kit));
