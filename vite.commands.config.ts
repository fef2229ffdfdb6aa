import { defineConfig } from 'vite'

/** The commands of `npm run elogio` as plain JavaScript, with all packages that are not compiled: they start at once. */
export default defineConfig({
  publicDir: false,
  logLevel: 'warn',
  ssr: { noExternal: true, external: ['better-sqlite3', 'sharp', '@node-rs/argon2', 'knex', 'vite'] },
  // As text they are read faster than as objects.
  json: { stringify: true },
  build: {
    ssr: true,
    minify: true,
    target: 'node20',
    outDir: 'build/commands',
    emptyOutDir: true,
    rollupOptions: {
      input: { main: 'cli/main.ts' },
      output: { entryFileNames: '[name].js', chunkFileNames: 'parts/[name]-[hash].js' },
    },
  },
})
