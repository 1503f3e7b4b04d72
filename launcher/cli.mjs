// Chooses between the launcher's two commands and the headless ones.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensurePackages, ensureBundles, ROOT } from './setup.mjs';

const HELP = `Old Hand: the measured study of a master's style

  ./oldhand start [--port N] [--data DIR] [--no-demo]   set up what is missing and run the application
  ./oldhand backup FILE [--data DIR]                    everything into one file, also while it runs; secrets included
  ./oldhand restore FILE [--data DIR] [--replace]       that state put in place again
  ./oldhand test                                        set up what is missing and run every check

  ./oldhand measure PICTURE …                           a picture's profile
  ./oldhand rectify PHOTO --paper WxH --out OUT.png …   a photograph of a sheet, squared up and evened out
  ./oldhand compare --source S … --piece P              a piece held against a master's works
  ./oldhand hand --source S … [--foil F …]              what is constant in a hand, what varies, what parts two
  ./oldhand mix --target HEX --kit KIT.json             recipes for a colour from a paint kit
  ./oldhand colour-difference LAB LAB                   CIEDE2000 of two colours, each L,a,b
  ./oldhand fit-shapes --polygon "x,y x,y …"            basic shapes for an outline, best first
  ./oldhand align --from A.json --to B.json             one set of landmarks laid over another

Add --json to a headless command for its full document.
`;

export async function main(words) {
  const [command, ...rest] = words;
  if (command === undefined || command === 'help' || command === '--help' || command === '-h') {
    process.stdout.write(HELP);
    return 0;
  }
  if (command === 'start') return (await import('./start.mjs')).start(rest);
  if (command === 'backup') return (await import('./backup.mjs')).backup(rest);
  if (command === 'restore') return (await import('./backup.mjs')).restore(rest);
  if (command === 'test') return (await import('./test.mjs')).test(rest);
  ensurePackages();
  ensureBundles();
  const { run } = await import(pathToFileURL(join(ROOT, 'build', 'bundle', 'headless.mjs')).href);
  return run(command, rest);
}
