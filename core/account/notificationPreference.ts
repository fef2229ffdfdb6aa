import { z } from 'zod'

/** How a member is told of what comes in: each one, once a day, or only what is held back. */
export const notificationPreferenceSchema = z.enum(['each', 'digest', 'held'])
export type NotificationPreference = z.infer<typeof notificationPreferenceSchema>
export const notificationPreferences = notificationPreferenceSchema.options

export const digestHourSchema = z.coerce.number().int().min(0).max(23)
