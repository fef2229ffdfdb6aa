import { defineConfig } from 'vite'
import { outsidePackages, packagesInOneFile } from './vite.packages.ts'

/** The commands of `npm run elogio` as plain JavaScript, with all packages that are not compiled: they start at once. */
export default defineConfig({
  publicDir: false,
  resolve: { alias: packagesInOneFile },
  logLevel: 'warn',
  ssr: { noExternal: true, external: outsidePackages },
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
