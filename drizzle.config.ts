import { defineConfig } from 'drizzle-kit';

export default defineConfig({ dialect: 'mysql', schema: './server/schema/index.ts', out: './server/migrations' });
