import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'sqlite',
  schema: ['./server/storage/schema.ts', './server/storage/projection-schema.ts'],
  out: './server/storage/migrations',
});
