import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'

/** The font of the shop's site. */
export const serif = readFileSync(
  createRequire(import.meta.url).resolve(
    '@fontsource-variable/literata/files/literata-latin-wght-normal.woff2',
  ),
)
