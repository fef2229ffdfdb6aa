import { notificationPreferences } from '../../../core/account/notificationPreference'
import { roles } from '../../../core/account/permissions'
import { texts, theme } from '../columnKinds'
import { choice, flag, id, integer, text } from '../columnDefinition'
import { created, table } from '../table'

export const shop = table('shop', {
  id: id(),
  publicId: text().unique(),
  slug: text().unique(),
  name: text(),
  shortName: text(),
  ownDomains: texts().initially([]),
  brand: text(),
  logo: text().null(),
  locale: text(),
  timeZone: text(),
  createdAt: text(),
  siteUrl: text().initially(''),
  description: text().initially(''),
  /** Colours (hex) and font (a CSS list) of its site. */
  background: text().initially('#ffffff'),
  textColour: text().initially('#13262c'),
  fonts: text().initially(''),
  /** The name under its replies. */
  replyName: text().initially(''),
  /** Languages its members read, as two-letter tags. */
  languages: texts().initially([]),
  /** Radius of its buttons in CSS pixels. */
  corners: integer().initially(8),
  digestHour: integer().initially(8),
  orders: integer().initially(0),
  /** Languages for its customers, as two-letter tags. */
  customerLanguages: texts().initially(['en', 'de', 'fr', 'es', 'it']),
  startingTheme: theme().initially(null),
  digestCount: integer().initially(0),
  firstStepsAway: flag().initially(false),
})

export const member = table('member', {
  id: id(),
  publicId: text().unique(),
  email: text().unique(),
  name: text(),
  passwordHash: text(),
  createdAt: text(),
})

export const membership = table(
  'membership',
  {
    memberId: integer().refers('member'),
    shopId: integer().refers('shop'),
    role: choice(...roles),
    notifications: choice(...notificationPreferences).initially('digest'),
  },
  { constraints: ['PRIMARY KEY (member_id, shop_id)'], withoutRowId: true },
)

export const session = table('session', {
  id: id(),
  tokenHash: text().unique(),
  memberId: integer().refers('member'),
  createdAt: text(),
  expiresAt: text(),
})

/** Members, shops and who belongs to which. */
export const accounts = [
  created(shop),

  created(member),

  created(membership),

  created(session),
  `CREATE INDEX session_by_member ON session (member_id)`,
  `CREATE INDEX session_by_end ON session (expires_at)`,
]
