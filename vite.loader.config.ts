import { defineConfig } from 'vite'

/**
 * What other people's pages load, built apart from the application: the loader as one small classic script, and with
 * `--mode parts` what single layouts need, as modules named by their content that never change.
 */
export default defineConfig(({ mode }) =>
  mode === 'parts'
    ? {
        publicDir: false,
        build: {
          outDir: 'build/onsite/parts',
          emptyOutDir: true,
          target: 'es2022',
          modulePreload: false,
          rollupOptions: {
            input: {
              dates: 'onsite/behaviour/dates.ts',
              edge: 'onsite/behaviour/edge.ts',
              fonts: 'onsite/behaviour/fonts.ts',
              pack: 'onsite/behaviour/pack.ts',
              slide: 'onsite/behaviour/slide.ts',
              lead: 'onsite/behaviour/lead.ts',
              origins: 'onsite/behaviour/origins.ts',
              pages: 'onsite/behaviour/pages.ts',
              photos: 'onsite/behaviour/photos.ts',
              page: 'onsite/behaviour/page.ts',
              notes: 'onsite/behaviour/notes.ts',
            },
            preserveEntrySignatures: 'strict',
            output: { format: 'es', entryFileNames: '[name]-[hash].js' },
          },
        },
      }
    : {
        publicDir: false,
        build: {
          outDir: 'build/onsite',
          emptyOutDir: true,
          target: 'es2020',
          lib: {
            entry: 'onsite/loader.ts',
            formats: ['iife'],
            name: 'elogioLoader',
            fileName: () => 'embed.js',
          },
        },
      },
)
