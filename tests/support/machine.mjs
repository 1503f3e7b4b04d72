// Starts what browser and server tests need: a private database, migrated, in a folder that goes away afterwards.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { freePort, startDatabase } from '../../launcher/database.mjs';
import { startDemoClass, startServer } from '../../launcher/server.mjs';
import { ROOT } from '../../launcher/setup.mjs';

export { freePort, startDemoClass, startServer };

/** A migrated database of its own, and leave to make another named oldhand_trial; `stop` ends it and removes its folder. */
export async function testDatabase(firstPort) {
  const dir = mkdtempSync(join(tmpdir(), 'oh-'));
  const database = await startDatabase(dir, firstPort, { alsoGrant: ['oldhand_trial'] });
  await (await bundle('migrate')).migrateDatabase(database.url, ROOT);
  return {
    url: database.url,
    dir,
    stop: async () => {
      await database.stop();
      rmSync(dir, { recursive: true, force: true });
    },
  };
}

export const bundle = (name) => import(pathToFileURL(join(ROOT, 'build', 'bundle', `${name}.mjs`)).href);
