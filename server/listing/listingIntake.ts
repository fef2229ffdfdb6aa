import type { Knex } from 'knex'
import { findIntake, insertIntake, type Intake } from '../data/intakes'
import { updateListing, type Listing } from '../data/listings'
import type { Services } from '../services'

/** The intake of the check in progress; made when there is something new. */
export async function listingIntake(
  { newId, now }: Pick<Services, 'newId' | 'now'>,
  trx: Knex.Transaction,
  listing: Listing,
): Promise<Intake> {
  const known =
    listing.intakeId === null ? null : await findIntake(trx, listing.shopId, { id: listing.intakeId })
  if (known && !known.undone) return known
  const intake = await insertIntake(trx, {
    shopId: listing.shopId,
    publicId: newId(),
    source: 'listing',
    origin: listing.origin,
    memberId: null,
    listingId: listing.id,
    createdAt: now().toISOString(),
  })
  listing.intakeId = intake.id
  await updateListing(trx, listing.shopId, listing.id, { intakeId: intake.id })
  return intake
}
