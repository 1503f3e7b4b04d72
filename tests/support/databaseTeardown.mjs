// Ends what databaseSetup began.
export default async function teardown() {
  await globalThis.__oldhandTestDatabase.stop();
}
