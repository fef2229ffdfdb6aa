import { trustedSubmission } from '../../core/moderation/submissionChecks'
import type { ManualEntry } from '../../core/intake/manualEntry'
import { nothingAbout, type Candidate } from '../../core/intake/candidate'
import type { Actor } from '../../core/moderation/actor'
import { say } from '../../core/messages/say/everything'
import type { Shop } from '../data/shops'
import { storePicture } from '../media/storePicture'
import type { Services } from '../services'
import { receiveOne } from './receive'
import type { Receipt } from '../data/receipts'
import { recordOf } from '../../core/formats/keysOf'
import { writerTextNames } from '../../core/intake/writerTexts'

/**
 * Stores a review that the owner adds. It is approved unless a rule holds it back or the owner decides later.
 */
export async function writeDown(
  services: Services,
  shop: Shop,
  actor: Actor,
  entry: ManualEntry,
  evidence: Candidate['evidence'] = [],
): Promise<Receipt> {
  return receiveOne(services, shop, actor, {
    source: 'manualEntry',
    formId: null,
    identity: { by: 'nothing' },
    ...trustedSubmission,
    writers: 'anyone',
    fillSeconds: null,
    ip: '',
    arrivesAs: entry.waiting ? 'waiting' : 'approved',
    rating: entry.rating === null ? null : { value: entry.rating, scale: 5 },
    title: entry.title,
    body: entry.body,
    authorName: entry.author_name,
    authorEmail: '',
    orderNumber: '',
    productSku: entry.product,
    writtenAt: entry.written_at || null,
    consent: { answer: entry.consent ? 'stated' : 'refused', text: say('write.agreed') },
    customerLanguage: null,
    about: {
      ...nothingAbout,
      ...recordOf(writerTextNames, (name) => entry[name].trim()),
      companyUrl: entry.company_url.trim(),
      seenUrl: entry.seen_url.trim(),
      seenPublic: entry.seen_public === 'on',
      portrait: await storePicture(services, shop.id, entry.portrait),
      companyLogo: await storePicture(services, shop.id, entry.company_logo),
    },
    photos: [],
    note: entry.note,
    tags: entry.tags,
    answers: [],
    posted: null,
    evidence,
  })
}
