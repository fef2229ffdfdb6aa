import { z } from 'zod'

/** When a member is emailed: for each review, once a day, or only for reviews held back. */
export const notificationPreferenceSchema = z.enum(['each', 'digest', 'held'])
export type NotificationPreference = z.infer<typeof notificationPreferenceSchema>
export const notificationPreferences = notificationPreferenceSchema.options

export const digestHourSchema = z.coerce.number().int().min(0).max(23)
