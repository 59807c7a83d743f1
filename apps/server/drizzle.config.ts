import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'sqlite',
  schema: './apps/server/src/db/tables.ts',
  out: './apps/server/src/db/migrations',
});
