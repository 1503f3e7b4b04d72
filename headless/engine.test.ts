/** Only what the core itself tells leaves with 2; an engine's own error is thrown on, and the launcher leaves with 1. */
import { CoreError } from '../core/errors';
import { typed } from '../core/message';
import { run } from './main';

let thrown: Error;
jest.mock('../core/colour/difference', () => ({
  ciede2000: () => {
    throw thrown;
  },
}));

test('a told error is one line and 2; an engine’s error is neither', async () => {
  const said = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
  const asked = () => run('colour-difference', ['50,0,0', '60,0,0']);
  thrown = new CoreError('json.object', { what: typed('a\nb.json') });
  expect(await asked()).toBe(2);
  expect(said.mock.calls).toEqual([['a b.json: the file must hold one JSON object\n']]);
  thrown = new RangeError('Maximum call stack size exceeded');
  await expect(asked()).rejects.toBe(thrown);
  expect(said).toHaveBeenCalledTimes(1);
  said.mockRestore();
});
