/** The cupboard as it is kept: filled, changed, emptied, and each step taken back. */
import { english } from '../../tests/support/english';
import { leave, newTeacher } from '../../tests/support/school';
import { message } from '../../core/message';
import type { Material } from '../../core/colour/materials';
import { kitAsCsv, readCupboardFile } from '../../core/formats/cupboardFile';
import { editState, step } from '../edits/log';
import { addKit, addMaterial, addReadySet, changeKit, changeMaterial, copyKit, kitOf, listKits, removeKit, removeMaterial } from './kits';
import { kitSchema, materialSchema } from './schemas';

afterAll(leave);

let teacher = '';
beforeEach(async () => {
  teacher = await newTeacher();
});
const undo = async () => english((await step(teacher, null, 'undo')).label);
const redo = async () => english((await step(teacher, null, 'redo')).label);
const names = async () => (await listKits(teacher)).map((k) => `${k.name}: ${k.materials.map((m) => m.name).join(', ')}`);
const paint = (name: string, more: Partial<Material> = {}): Material => ({
  kind: 'paint',
  name,
  pigment: 'PB29',
  masstone: '#232f86',
  tint: null,
  strength: 1,
  properties: {},
  ...more,
});
const empty = { name: 'Shelf', white: null, materials: [] };

test('made, filled, changed and removed, back to nothing and forth again', async () => {
  const kit = await addKit(teacher, empty);
  const blue = await addMaterial(teacher, kit, paint('blue'));
  await addMaterial(teacher, kit, paint('white', { masstone: '#ffffff' }));
  await changeKit(teacher, kit, 1, { white: 'white' });
  const { version } = (await kitOf(teacher, kit)).materials[0];
  await changeMaterial(teacher, blue, version, paint('deep blue', { properties: { opacity: 'opaque', staining: true } }));
  await removeMaterial(teacher, blue);
  await removeKit(teacher, kit);
  const states = ['Shelf: white', 'Shelf: deep blue, white', 'Shelf: blue, white', 'Shelf: blue, white', 'Shelf: blue', 'Shelf: '];
  expect(await names()).toEqual([]);
  for (const state of states) {
    await undo();
    expect(await names()).toEqual([state]);
  }
  expect(await undo()).toBe('kit “Shelf”');
  expect(await names()).toEqual([]);
  for (let i = 0; i < 6; i++) await redo();
  expect((await kitOf(teacher, kit)).materials).toMatchObject([{ name: 'white' }]);
  expect((await editState(teacher, null)).redo).not.toBeNull();
});

test('white follows its paint: renamed with it, gone with it, and back with it', async () => {
  const kit = await addKit(teacher, { name: 'Gouache', white: 'white', materials: [paint('white'), paint('blue')] });
  const white = (await kitOf(teacher, kit)).materials[0];
  await changeMaterial(teacher, white.id, white.version, { ...white, name: 'zinc white' });
  expect((await kitOf(teacher, kit)).white).toBe('zinc white');
  await removeMaterial(teacher, white.id);
  expect((await kitOf(teacher, kit)).white).toBeNull();
  await undo();
  expect(await kitOf(teacher, kit)).toMatchObject({ white: 'zinc white', materials: [{ name: 'zinc white' }, { name: 'blue' }] });
  const { version } = await kitOf(teacher, kit);
  await expect(changeKit(teacher, kit, version, { white: 'chalk' })).rejects.toMatchObject({ field: 'white' });
});

test('a copy and a second ready set get a name of their own; a table read back is the same kit', async () => {
  const called = (colour: string) => english(message(`cupboard.colours.${colour}`));
  const first = await addReadySet(teacher, 'pencils', 'Pencils', called);
  await copyKit(teacher, first);
  await addReadySet(teacher, 'pencils', 'Pencils', called);
  const kits = await listKits(teacher);
  expect(kits[0].materials.map((m) => m.name)).toContain('yellow ochre');
  expect(kits.map((k) => k.name)).toEqual(['Pencils', 'Pencils 2', 'Pencils 3']);
  const plain = (id: string) => kits.find((k) => k.id === id)!.materials.map(({ id: _id, version: _version, ...m }) => m);
  expect(readCupboardFile(kitAsCsv(kits[0])).materials).toEqual(plain(first));
});

test('equal names, older windows and other teachers are refused, and nothing is lost', async () => {
  const kit = await addKit(teacher, { ...empty, materials: [paint('blue'), paint('red')] });
  await addKit(teacher, { ...empty, name: 'Other' });
  const [blue, red] = (await kitOf(teacher, kit)).materials;
  await expect(addMaterial(teacher, kit, paint('blue'))).rejects.toMatchObject({ status: 409, field: 'name' });
  await expect(changeMaterial(teacher, red.id, red.version, paint('blue'))).rejects.toMatchObject({ status: 409, field: 'name' });
  await expect(changeKit(teacher, kit, 1, { name: 'Other' })).rejects.toMatchObject({ status: 409, field: 'name' });
  await expect(changeMaterial(teacher, blue.id, blue.version + 1, paint('navy'))).rejects.toMatchObject({ status: 409 });
  const stranger = await newTeacher();
  await expect(kitOf(stranger, kit)).rejects.toMatchObject({ status: 404 });
  await expect(removeMaterial(stranger, blue.id)).rejects.toMatchObject({ status: 404 });
  await expect(addMaterial(stranger, kit, paint('x'))).rejects.toMatchObject({ status: 404 });
  expect(await names()).toEqual(['Other: ', 'Shelf: blue, red']);
});

test('what is sent is checked field by field', async () => {
  const refused = (value: unknown) =>
    materialSchema.validate(value).then(
      () => null,
      (e: { path: string }) => e.path,
    );
  const good = { kind: 'paint', name: 'blue', masstone: '#232F86', tint: { hex: '#7e8ec8', parts: [1, 4] } };
  expect(await materialSchema.validate(good)).toMatchObject({ masstone: '#232f86', pigment: '', strength: 1 });
  expect(await materialSchema.validate({ kind: 'tool', name: 'reed', properties: { leastMm: '', taper: '' } })).toMatchObject({
    masstone: null,
  });
  expect(await refused({ ...good, name: ' ' })).toBe('name');
  expect(await refused({ ...good, masstone: 'blue' })).toBe('masstone');
  expect(await refused({ kind: 'paint', name: 'blue' })).toBe('masstone');
  expect(await refused({ ...good, tint: { hex: '#7e8ec8', parts: [0, 4] } })).toMatch(/^tint/);
  expect(await refused({ ...good, strength: 0 })).toBe('strength');
  expect(await refused({ ...good, kind: 'glue' })).toBe('kind');
  expect(await refused({ ...good, properties: { gsm: 5 } })).toBe('properties.gsm');
  expect(await refused({ ...good, properties: { opacity: 'milky' } })).toBe('properties.opacity');
  await expect(kitSchema.validate({ set: 'toString' })).rejects.toMatchObject({ path: 'set' });
});
