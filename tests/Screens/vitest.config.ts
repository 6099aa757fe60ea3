import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { catalogueModules } from '../../web/sentences.ts';

export default defineConfig({
  plugins: [catalogueModules()],
  root: fileURLToPath(new URL('../..', import.meta.url)),
  test: {
    environment: 'jsdom',
    include: ['tests/Screens/**/*.test.{ts,tsx}'],
    setupFiles: ['tests/Screens/setup.ts'],
    restoreMocks: true,
    unstubGlobals: true,
  },
});
