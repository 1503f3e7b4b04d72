// Knows how programs that only pass or fail are run several at a time, each one's words kept together.
import { spawn } from 'node:child_process';

const run = ([name, command, args], { cwd, env }) =>
  new Promise((done) => {
    const child = spawn(command, args, { cwd, env, stdio: ['ignore', 'pipe', 'pipe'] });
    const printed = [];
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => printed.push(part));
    child.on('error', (error) => printed.push(Buffer.from(`${error.message}\n`)));
    child.on('close', (status) => done({ name, passed: status === 0, printed: Buffer.concat(printed).toString() }));
  });

/** Runs programs (name, command, arguments) on so many lanes; `told` hears of each as it ends, whole. Gives all results in the order of the list. */
export async function sideBySide(list, lanes, where, told) {
  const results = [];
  let next = 0;
  const lane = async () => {
    while (next < list.length) {
      const at = next++;
      results[at] = await run(list[at], where);
      told(results[at]);
    }
  };
  await Promise.all(Array.from({ length: lanes }, lane));
  return results;
}
