/** The library for pictures. It is loaded with the first of them, so that a start doesn't wait for it. */
export const loadSharp = async () => (await import('sharp')).default
