import { defineConfig } from 'vite'

/**
 * The server, its threads and the stand-ins as plain JavaScript: they start in a third of the time and take half the
 * memory that they take when TypeScript is translated while it runs. Packages stay where they are.
 */
export default defineConfig({
  publicDir: false,
  build: {
    ssr: true,
    target: 'node20',
    outDir: 'build/app',
    emptyOutDir: true,
    rollupOptions: {
      input: {
        main: 'server/main.ts',
        thread: 'server/workers/thread.ts',
        standins: 'standins/main.ts',
      },
      // Vite is loaded only while the application is developed.
      external: ['vite'],
      output: { entryFileNames: '[name].js', chunkFileNames: 'parts/[name]-[hash].js' },
    },
  },
})
