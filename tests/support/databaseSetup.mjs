// One private database for all server tests of a run.
import { testDatabase } from './machine.mjs';

export default async function setup() {
  const database = await testDatabase(3811);
  globalThis.__oldhandTestDatabase = database;
  process.env.DATABASE_URL = database.url;
  process.env.BETTER_AUTH_SECRET = 'a-secret-for-tests-alone-0123456789';
}
