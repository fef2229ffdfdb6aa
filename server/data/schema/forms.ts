import { writersSchema } from '../../../core/intake/writers'
import { design } from '../columnKinds'
import { choice, id, integer, real, text } from '../columnDefinition'
import { created, table } from '../table'

export const form = table('form', {
  id: id(),
  shopId: integer().refers('shop'),
  publicId: text().unique(),
  slug: text().unique(),
  writers: choice(...writersSchema.options).initially('anyone'),
  /** Only members see it; empty for a form that nobody named. */
  name: text().initially(''),
  state: choice('draft', 'open', 'closed').initially('open'),
  draft: design(),
  /** The number of the published version; 0 if there is none. */
  version: integer().initially(1),
  removedAt: text().null(),
  /** What its reviews are tagged; empty for nothing. */
  tag: text().initially(''),
  /** The state in which its reviews begin, unless a rule is stronger. */
  arrivesAs: choice('waiting', 'approved').initially('waiting'),
  /** The last day on which it is open, in the shop's time zone; empty for no end. */
  lastDay: text().initially(''),
  /** The intake of its test reviews; null if there are none. */
  trialIntakeId: integer().refers('intake').null(),
  /** When the draft was saved, and the browser tab that did it; empty if it never was. */
  draftSavedAt: text().initially(''),
  draftTab: text().initially(''),
})

export const formVersion = table(
  'form_version',
  {
    id: id(),
    shopId: integer().refers('shop'),
    formId: integer().refers('form'),
    number: integer(),
    /** As published; for a form that never was, its draft. */
    design: design(),
    publishedAt: text(),
  },
  { constraints: ['UNIQUE (form_id, number)'] },
)

export const formSlug = table(
  'form_slug',
  {
    slug: text().primary(),
    shopId: integer().refers('shop'),
    formId: integer().refers('form'),
  },
  { withoutRowId: true },
)

export const formDay = table(
  'form_day',
  {
    formId: integer().refers('form'),
    shopId: integer().refers('shop'),
    day: text(),
    opened: integer().initially(0),
    begun: integer().initially(0),
  },
  { constraints: ['PRIMARY KEY (form_id, day)'], withoutRowId: true },
)

export const pendingPhoto = table('pending_photo', {
  id: id(),
  shopId: integer().refers('shop'),
  formId: integer().refers('form'),
  key: text().unique(),
  name: text(),
  small: text(),
  width: integer(),
  height: integer(),
  uploadedAt: text(),
  video: text().null(),
  seconds: real().null(),
  network: text().initially(''),
  bytes: integer().initially(0),
})

/** Forms, their published versions, and pictures that are sent ahead of a form. */
export const forms = [
  created(form),

  created(formVersion),

  created(formSlug),

  created(formDay),

  created(pendingPhoto),
  `CREATE INDEX pending_photo_by_time ON pending_photo (uploaded_at)`,
  `CREATE INDEX pending_photo_by_name ON pending_photo (name)`,
  `CREATE INDEX pending_photo_by_small ON pending_photo (small)`,
  `CREATE INDEX pending_photo_by_video ON pending_photo (video) WHERE video IS NOT NULL`,
  `CREATE INDEX pending_photo_by_network ON pending_photo (network)`,
  `CREATE INDEX pending_photo_by_form ON pending_photo (form_id)`,
  `CREATE INDEX pending_photo_by_shop ON pending_photo (shop_id)`,
]
