import { defineConfig } from 'drizzle-kit';

export default defineConfig({ dialect: 'postgresql', schema: './dist/database/schema.js', out: './drizzle' });
