import type { Actor } from '../../core/moderation/actor'
import { findForm, updateForm, type Form } from '../data/forms'
import { findIntake, insertIntake, type Intake } from '../data/intakes'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'
import { askToUndoIntake } from './undoIntake'

/** The intake of a form's test reviews, so that they are removed together. */
export function trialIntake({ db, newId, now }: Services, form: Form): Promise<Intake> {
  return writing(db, async (trx) => {
    const { trialIntakeId } = (await findForm(trx, form.shopId, form.publicId)) ?? form
    const known = trialIntakeId === null ? null : await findIntake(trx, form.shopId, { id: trialIntakeId })
    if (known && !known.undone) return known
    const intake = await insertIntake(trx, {
      shopId: form.shopId,
      publicId: newId(),
      source: 'trial',
      origin: form.slug,
      memberId: null,
      createdAt: now().toISOString(),
    })
    await updateForm(trx, form.shopId, form.publicId, { trialIntakeId: intake.id })
    return intake
  })
}

/** How many test reviews of a form there are. */
export async function countTrials({ db }: Services, { shopId, trialIntakeId }: Form): Promise<number> {
  const intake = trialIntakeId === null ? null : await findIntake(db, shopId, { id: trialIntakeId })
  return intake && !intake.undone ? intake.stored : 0
}

/**
 * Removes all test reviews of a form, or brings those back that were removed last.
 * @returns false if there is nothing to do
 */
export async function removeTrials(
  services: Services,
  shop: Shop,
  actor: Actor,
  publicId: string,
  back = false,
): Promise<boolean> {
  const form = await findForm(services.db, shop.id, publicId)
  const intake = form?.trialIntakeId && (await findIntake(services.db, shop.id, { id: form.trialIntakeId }))
  return intake ? askToUndoIntake(services, shop, actor, intake.publicId, back) : false
}
