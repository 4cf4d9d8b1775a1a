import { defineConfig } from 'vitest/config';

/** Tests run what is written, not what was built: the `development` condition of core and contract leads to their sources. */
export default defineConfig({
  test: {
    include: ['{core,contract,instruments,server,cli,web}/src/**/*.test.ts'],
    benchmark: { include: ['benchmarks/**/*.bench.ts'] },
    testTimeout: 30_000,
    hookTimeout: 60_000,
  },
});
