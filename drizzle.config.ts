import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'sqlite',
  schema: './src/data/schema/index.ts',
  out: './drizzle',
  casing: 'snake_case',
});
