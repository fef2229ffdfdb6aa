import { defineConfig } from 'vite'

/** The script that other people's pages load: one small classic script, built apart from the application. */
export default defineConfig({
  publicDir: false,
  build: {
    outDir: 'build/onsite',
    emptyOutDir: true,
    target: 'es2020',
    lib: { entry: 'onsite/loader.ts', formats: ['iife'], name: 'elogioLoader', fileName: () => 'embed.js' },
  },
})
