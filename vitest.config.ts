import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        plugins: [vue()],
        test: {
          name: 'unit',
          // Some prove a plan or try every valve: minutes on a small machine that does other things beside.
          testTimeout: 120_000,
          // What is tested keeps nothing between files: modules are loaded once a worker, on every core.
          isolate: false,
          // Threads get their modules a third quicker than processes do.
          pool: 'threads',
          maxWorkers: '100%',
          // The library that keeps jobs on a device looks for a database once, when it is first loaded.
          setupFiles: ['fake-indexeddb/auto'],
          include: [
            'core/**/*.test.ts',
            'contract/**/*.test.ts',
            'cli/**/*.test.ts',
            'solver/**/*.test.ts',
            'web/**/*.test.ts',
            'scripts/**/*.test.mjs',
          ],
        },
      },
      {
        test: {
          name: 'server',
          include: ['server/**/*.test.ts'],
          // Each file opens a shop of its own: modules, half of the time, are loaded once a worker.
          isolate: false,
          maxWorkers: 2,
          testTimeout: 120_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
