import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    // As many files at a time as the smallest machine that this is run on has cores.
    maxWorkers: 2,
    projects: [
      {
        test: {
          name: 'unit',
          include: ['{core,onsite,server,app,cli,demo,standins}/**/*.test.{ts,tsx}'],
          globalSetup: 'tests/support/setUpUnits.ts',
          setupFiles: 'tests/support/checkPlans.ts',
          // Loading every module again for each file took as long as the tests.
          isolate: false,
          // A busy machine is no failure; nothing here waits for a clock.
          testTimeout: 120_000,
          hookTimeout: 90_000,
        },
      },
      {
        test: {
          name: 'journey',
          include: ['tests/**/*.test.ts'],
          globalSetup: 'tests/support/setUpJourneys.ts',
          setupFiles: 'tests/support/closeBrowsers.ts',
          isolate: false,
          testTimeout: 300_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
})
