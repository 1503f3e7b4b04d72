/** One machine for all browser tests: database, demo with a class of six, one server; all of it gone afterwards. */
import { bundle, freePort, startDemoClass, startServer, testDatabase } from '../support/machine.mjs';

export default async function setup(): Promise<() => Promise<void>> {
  const database = await testDatabase(3611);
  process.env.BETTER_AUTH_SECRET = 'a-secret-for-tests-alone-0123456789';
  await (await bundle('seed-demo')).seedDemo(database.url, `${database.dir}/pictures`, () => {});
  const server = await startServer({
    port: await freePort(4371),
    databaseUrl: database.url,
    secret: process.env.BETTER_AUTH_SECRET,
    env: { OLDHAND_RATE_LIMIT: 'off', OLDHAND_PSEUDO_LANGUAGES: 'on' },
  });
  process.env.OLDHAND_TEST_ORIGIN = server.origin;
  process.env.OLDHAND_TEST_DATABASE = database.url;
  const pieces = startDemoClass(database.url, `${database.dir}/pictures`, { only: 6 });
  return async () => {
    await pieces.stop();
    await server.stop();
    await database.stop();
  };
}
