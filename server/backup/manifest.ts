import { z } from 'zod'

/** The first file of a backup: what it contains, so that a restore can check it before it changes anything. */
export const manifestSchema = z.object({
  format: z.literal(1),
  /** The application's version. */
  version: z.string(),
  madeAt: z.string(),
  /** The latest migration of its database. */
  migration: z.string(),
  databaseSha256: z.string(),
  /** Null if the backup contains no pictures: then those in place stay. */
  mediaFiles: z.number().int().nullable(),
})
export type Manifest = z.infer<typeof manifestSchema>

export const names = {
  manifest: 'backup.json',
  database: 'elogio.db',
  secret: 'secret',
  media: 'media',
} as const
