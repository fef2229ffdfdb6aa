import { build } from './install.mjs'

/** Builds when a source has changed since the last build. */
build()
