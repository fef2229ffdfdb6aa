/** The code of an error of Node.js, a package or SQLite, such as `ENOENT`; undefined if it has none. */
export function errorCode(error: unknown): string | undefined {
  if (typeof error !== 'object' || error === null || !('code' in error)) return undefined
  return typeof error.code === 'string' ? error.code : undefined
}
