import { nothingAbout, type Candidate } from '../../core/intake/candidate'
import { trustedSubmission } from '../../core/moderation/submissionChecks'

/** A review as a file or site brings it, under a key of its origin. */
export function brought(key: string, more: Partial<Candidate> = {}, origin = 'old-shop.csv'): Candidate {
  return {
    source: 'manualEntry',
    identity: { by: 'externalKey', origin, key },
    formId: null,
    ...trustedSubmission,
    writers: 'anyone',
    fillSeconds: null,
    ip: '',
    arrivesAs: 'approved',
    rating: { value: 4, scale: 5 },
    title: '',
    body: 'The frames fit at once.',
    authorName: `Writer ${key}`,
    authorEmail: '',
    orderNumber: '',
    productSku: '',
    writtenAt: '2026-05-01',
    consent: { answer: 'stated', text: 'It was public.' },
    about: nothingAbout,
    photos: [],
    note: '',
    tags: [],
    answers: [],
    posted: null,
    evidence: [],
    customerLanguage: null,
    ...more,
  }
}
