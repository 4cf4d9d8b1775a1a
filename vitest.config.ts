import { defineConfig } from 'vitest/config';

/**
 * Tests run what is written, not what was built: the `development` condition of core and contract leads to their sources.
 *
 * They share what they import within a worker: core is pure, so nothing one test does is seen by another, and a test of one rule does not
 * wait for the catalogue to be read again.
 */
export default defineConfig({
  test: {
    include: ['{core,contract,instruments,server,cli,web}/src/**/*.test.ts'],
    benchmark: { include: ['benchmarks/**/*.bench.ts'] },
    isolate: false,
    // Many wait for a server or a disk: two share two cores well, where one would leave half of them idle.
    maxWorkers: 2,
    // A limit is for what hangs; a machine shared with others is only slow.
    testTimeout: 180_000,
    hookTimeout: 180_000,
  },
});
