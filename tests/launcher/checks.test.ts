/** Checks that run side by side, as `./oldhand test` runs them: what each says stays together, and none that fails is lost. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';

const ROOT = join(__dirname, '..', '..');

interface Result {
  name: string;
  passed: boolean;
  printed: string;
}

/** Runs node scripts as checks in a process of its own; gives the results and the names in the order they ended. */
function checked(scripts: Readonly<Record<string, string>>, lanes: number): { results: Result[]; ended: string[] } {
  const list = Object.entries(scripts).map(([name, script]) =>
    script.startsWith('/') ? [name, script, []] : [name, process.execPath, ['-e', script]],
  );
  const program = `
    import { sideBySide } from '${join(ROOT, 'launcher', 'checks.mjs')}';
    const ended = [];
    const results = await sideBySide(${JSON.stringify(list)}, ${lanes}, { cwd: '/', env: process.env }, (r) => ended.push(r.name));
    process.stdout.write(JSON.stringify({ results, ended }));`;
  const { stdout, stderr } = spawnSync(process.execPath, ['--input-type=module', '-e', program], { encoding: 'utf8' });
  if (!stdout) throw new Error(stderr);
  return JSON.parse(stdout) as { results: Result[]; ended: string[] };
}

test('every check ends as it should, in the order of the list, whichever is done first', () => {
  const { results, ended } = checked(
    {
      slow: "setTimeout(() => console.log('slow is done'), 400)",
      broken: "console.error('line 3 is wrong'); process.exit(1)",
      quick: "console.log('quick is done')",
      gone: '/no/such/program',
    },
    2,
  );
  expect(results.map((r) => [r.name, r.passed])).toEqual([
    ['slow', true],
    ['broken', false],
    ['quick', true],
    ['gone', false],
  ]);
  expect(ended[ended.length - 1]).toBe('slow');
  expect(results[0].printed).toBe('slow is done\n');
  expect(results[1].printed).toBe('line 3 is wrong\n');
  expect(results[3].printed).toMatch(/ENOENT/);
});

test('what checks say at the same time is not mixed, and one killed has not passed', () => {
  const many = (word: string) => `for (let k = 0; k < 400; k++) console.log('${word} ' + k)`;
  const { results } = checked({ a: many('a'), b: many('b'), killed: 'process.kill(process.pid)' }, 3);
  for (const word of ['a', 'b']) {
    const lines = results
      .find((r) => r.name === word)!
      .printed.trim()
      .split('\n');
    expect(lines).toEqual(Array.from({ length: 400 }, (_, k) => `${word} ${k}`));
  }
  expect(results[2].passed).toBe(false);
});

test('no check is no failure', () => {
  expect(checked({}, 2)).toEqual({ results: [], ended: [] });
});
