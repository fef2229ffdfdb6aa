/**
 * Packages that stay outside what is built for the server: those with compiled parts or files of their own, and those
 * of which the pages and the server must have the very same. All others are built in, since loading hundreds of small
 * files takes most of the time of a start.
 */
export const outsidePackages = [
  'better-sqlite3',
  'sharp',
  '@node-rs/argon2',
  'knex',
  'piscina',
  'react',
  'react-dom',
  'react-router',
  '@react-router/node',
  // Loaded only while the application is developed.
  'vite',
]

/** A package that reads files beside it has a build without. */
export const packagesInOneFile = { 'css-tree': 'css-tree/dist/csstree.esm' }
