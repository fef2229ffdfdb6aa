import * as accounts from './accounts'
import * as products from './products'
import * as orders from './orders'
import * as forms from './forms'
import * as reviews from './reviews'
import * as moderation from './moderation'
import * as listings from './listings'
import * as displays from './displays'
import * as mails from './mails'
import * as jobs from './jobs'
import { counts } from './counts'

/** Every table, index and trigger; `docs/schema.md` is drawn from it. */
export const schema = [
  ...accounts.accounts,
  ...products.products,
  ...orders.orders,
  ...forms.forms,
  ...reviews.reviews,
  ...moderation.moderation,
  ...listings.listings,
  ...displays.displays,
  ...mails.mails,
  ...jobs.jobs,
  ...counts,
]
