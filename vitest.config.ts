import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          include: ['{core,onsite,server,app,cli,demo,standins}/**/*.test.{ts,tsx}'],
          // A busy machine is no failure; nothing here waits for a clock.
          testTimeout: 30_000,
          hookTimeout: 90_000,
        },
      },
      {
        test: {
          name: 'journey',
          include: ['tests/**/*.test.ts'],
          testTimeout: 180_000,
          hookTimeout: 120_000,
          fileParallelism: false,
        },
      },
    ],
  },
})
