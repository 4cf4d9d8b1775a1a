import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{core,contract,instruments,server,cli,web}/src/**/*.test.ts'],
    benchmark: { include: ['bench/**/*.bench.ts'] },
    testTimeout: 30_000,
    hookTimeout: 60_000,
  },
});
