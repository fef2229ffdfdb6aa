import { measuresSchema } from '../../../core/display/measures'
import { configuration, texts, theme } from '../columnKinds'
import { flag, id, integer, json, text } from '../columnDefinition'
import { created, table } from '../table'

export const display = table('display', {
  id: id(),
  shopId: integer().refers('shop'),
  publicId: text().unique(),
  key: text().unique(),
  name: text(),
  draftVersionId: integer().refers('display_version', 'DEFERRABLE INITIALLY DEFERRED'),
  liveVersionId: integer().refers('display_version', 'DEFERRABLE INITIALLY DEFERRED').null(),
  createdAt: text(),
  stale: integer().initially(0),
  removedAt: text().null(),
  /** Its measured height at each width, for the embed code. */
  measured: json(measuresSchema.catch([])).initially([]),
  /** A second address of its page, chosen by the owner. */
  address: text().null(),
})

export const displayVersion = table(
  'display_version',
  {
    id: id(),
    shopId: integer().refers('shop'),
    displayId: integer().refers('display'),
    number: integer(),
    configuration: configuration(),
    savedAt: text(),
    publishedAt: text().null(),
    publishedBy: integer().refers('member').null(),
    /** The browser tab that saved it last. */
    tab: text().initially(''),
  },
  { constraints: ['UNIQUE (display_id, number)'] },
)

export const snapshot = table(
  'snapshot',
  {
    id: id(),
    shopId: integer().refers('shop'),
    displayId: integer().refers('display'),
    variant: text(),
    versionId: integer().refers('display_version'),
    etag: text(),
    body: text(),
    renderedAt: text(),
    /** Keys of SKUs; null for all products. */
    scope: texts().null(),
    byTags: flag().initially(true),
  },
  { constraints: ['UNIQUE (display_id, variant)'] },
)

export const snapshotReview = table(
  'snapshot_review',
  {
    shopId: integer().refers('shop'),
    snapshotId: integer().refers('snapshot', 'ON DELETE CASCADE'),
    reviewId: integer().refers('review'),
  },
  { constraints: ['PRIMARY KEY (snapshot_id, review_id)'], withoutRowId: true },
)

export const displaySeen = table(
  'display_seen',
  {
    id: id(),
    shopId: integer().refers('shop'),
    displayId: integer().refers('display'),
    page: text(),
    firstAt: text(),
    lastAt: text(),
    misfits: integer().initially(0),
  },
  { constraints: ['UNIQUE (display_id, page)'] },
)

export const look = table('look', {
  id: id(),
  shopId: integer().refers('shop'),
  publicId: text().unique(),
  name: text(),
  theme: theme(),
  createdAt: text(),
  removedAt: text().null(),
})

export const media = table(
  'media',
  {
    id: id(),
    shopId: integer().refers('shop'),
    name: text(),
    width: integer(),
    height: integer(),
    createdAt: text(),
  },
  { constraints: ['UNIQUE (shop_id, name)'] },
)

/** Displays, their versions, and what visitors get of them. */
export const displays = [
  created(display),
  `CREATE UNIQUE INDEX display_by_address ON display (address) WHERE address IS NOT NULL`,
  `CREATE INDEX display_by_shop ON display (shop_id, id)`,

  created(displayVersion),
  `CREATE INDEX display_version_by_picture ON display_version (json_extract(configuration, '$.picture'))`,

  created(snapshot),

  created(snapshotReview),
  `CREATE INDEX snapshot_review_by_review ON snapshot_review (review_id)`,

  created(displaySeen),

  created(look),
  `CREATE INDEX look_by_shop ON look (shop_id, id)`,

  created(media),
  `CREATE INDEX media_by_name ON media (name)`,
  `CREATE INDEX media_by_time ON media (created_at)`,
]
