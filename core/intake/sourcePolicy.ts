/** How reviews reach the shop. */
export const sources = ['form', 'manualEntry', 'listing', 'trial'] as const
export type Source = (typeof sources)[number]

/** What holds for every review of a source. */
interface SourcePolicy {
  /** Who typed the review, and so who may change its words. */
  typedBy: 'customer' | 'shop' | 'site'
  /** Whether visitors may see it, and counts of reviews include it. */
  isPublic: boolean
  /** Whether it counts in averages. One that the shop typed does once its writer has confirmed it. */
  inAverages: boolean
  /** Whether it is compared with earlier reviews, and later ones with it. */
  compared: boolean
  /** Whether decisions about it teach the detection of spam. */
  teaches: boolean
  /** Whether its writer is asked to confirm the email address. */
  asksToConfirm: boolean
  /** The state of a review in which nothing is found: that which its form or listing is set to, or always the same. */
  startsAs: 'asSet' | 'waiting' | 'approved'
  /** Whether members hear of it. */
  notifies: boolean
  /** Whether photos of unverified writers are held back. */
  checksPhotos: boolean
  /** Whether it says why no purchase was found. */
  explainsProof: boolean
  /** The entry in the log for its arrival. */
  arrivalAct: 'arrive' | 'write' | 'find'
  /** The entry in the log for a change by whoever typed it. */
  changeAct: 'change' | 'changeThere'
  /** Whether a missing date means that nobody knows when it was written. */
  undatedIsUnknown: boolean
}

export const sourcePolicies: Record<Source, SourcePolicy> = {
  form: {
    typedBy: 'customer',
    isPublic: true,
    inAverages: true,
    compared: true,
    teaches: true,
    asksToConfirm: true,
    startsAs: 'asSet',
    notifies: true,
    checksPhotos: true,
    explainsProof: true,
    arrivalAct: 'arrive',
    changeAct: 'change',
    undatedIsUnknown: false,
  },
  manualEntry: {
    typedBy: 'shop',
    isPublic: true,
    inAverages: false,
    compared: false,
    teaches: true,
    asksToConfirm: false,
    startsAs: 'approved',
    notifies: false,
    checksPhotos: true,
    explainsProof: false,
    arrivalAct: 'write',
    changeAct: 'change',
    undatedIsUnknown: true,
  },
  listing: {
    typedBy: 'site',
    isPublic: true,
    inAverages: false,
    compared: false,
    teaches: true,
    asksToConfirm: false,
    startsAs: 'asSet',
    notifies: false,
    checksPhotos: false,
    explainsProof: false,
    arrivalAct: 'find',
    changeAct: 'changeThere',
    undatedIsUnknown: true,
  },
  /** A test review: it takes the way of a customer's, and nobody but the shop sees it. */
  trial: {
    typedBy: 'customer',
    isPublic: false,
    inAverages: false,
    compared: false,
    teaches: false,
    asksToConfirm: true,
    startsAs: 'waiting',
    notifies: false,
    checksPhotos: true,
    explainsProof: true,
    arrivalAct: 'arrive',
    changeAct: 'change',
    undatedIsUnknown: false,
  },
}

/** The sources that are compared with earlier reviews. */
export const comparedSources = sources.filter((source) => sourcePolicies[source].compared)

/** The sources through which reviews come to the shop itself. */
export const ownSources = sources.filter(
  (source) => sourcePolicies[source].typedBy !== 'site' && sourcePolicies[source].isPublic,
)

/** Reviews that were written on another site, where the shop answers them too. */
export const siteSources = sources.filter((source) => sourcePolicies[source].typedBy === 'site')
export const isOfSite = (source: Source): boolean => sourcePolicies[source].typedBy === 'site'

/** Reviews whose writer has to give an email address before a purchase is looked for. */
export const addressedSources = sources.filter((source) => sourcePolicies[source].typedBy === 'customer')

/** The sources of reviews that visitors may see. */
export const publicSources = sources.filter((source) => sourcePolicies[source].isPublic)

/** Whether visitors may see a review whose writer gave this answer. */
export const isShowable = (source: Source, consent: 'given' | 'refused' | 'stated'): boolean =>
  sourcePolicies[source].isPublic && consent !== 'refused'
