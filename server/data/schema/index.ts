import { accounts } from './accounts'
import { counts } from './counts'
import { displays } from './displays'
import { forms } from './forms'
import { jobs } from './jobs'
import { listings } from './listings'
import { mails } from './mails'
import { moderation } from './moderation'
import { orders } from './orders'
import { products } from './products'
import { reviews } from './reviews'

/** Every table, index and trigger; `docs/schema.md` is drawn from it. */
export const schema = [
  ...accounts,
  ...products,
  ...orders,
  ...forms,
  ...reviews,
  ...moderation,
  ...listings,
  ...displays,
  ...mails,
  ...jobs,
  ...counts,
]
