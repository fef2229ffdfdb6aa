import { z } from 'zod'

export const CHECK_LISTING = 'checkListing'

export const checkKey = (listingId: number): string => `${CHECK_LISTING}:${listingId}`

export const checkListingSchema = z.object({ listingId: z.number() })
