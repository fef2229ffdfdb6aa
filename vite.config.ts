import { reactRouter } from '@react-router/dev/vite'
import tailwindcss from '@tailwindcss/vite'
import { defineConfig } from 'vite'
import { outsidePackages, packagesInOneFile } from './vite.packages.ts'

export default defineConfig(({ command }) => ({
  resolve: command === 'build' ? { alias: packagesInOneFile } : {},
  plugins: [tailwindcss(), reactRouter()],
  ssr:
    command === 'build' ? { noExternal: true, external: outsidePackages } : { noExternal: ['lucide-react'] },
  server: { watch: { ignored: ['data/**', '.work/**'] } },
}))
