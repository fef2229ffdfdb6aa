/**
 * Zod compiles schemas unless it is told not to, and our Content-Security-Policy reports each attempt. Set without
 * importing Zod, which most pages of customers do not load.
 */
const shared = globalThis as { __zod_globalConfig?: { jitless?: boolean } }
if (typeof document !== 'undefined')
  shared.__zod_globalConfig = Object.assign(shared.__zod_globalConfig ?? {}, { jitless: true })

export {}
