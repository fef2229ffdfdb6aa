import { choice, id, integer, text } from '../columnDefinition'
import { created, table } from '../table'

export const token = table('token', {
  id: id(),
  hash: text().unique(),
  purpose: choice('confirm', 'review'),
  reviewId: integer().refers('review'),
  createdAt: text(),
  expiresAt: text(),
  usedAt: text().null(),
})

export type MailKind = 'confirm' | 'ask' | 'remove' | 'trial' | 'notification'

export const mail = table('mail', {
  id: id(),
  shopId: integer().refers('shop'),
  messageId: text().unique(),
  kind: text<MailKind>(),
  reviewId: integer().refers('review').null(),
  recipient: text(),
  emailKey: text(),
  senderName: text(),
  language: text(),
  subject: text(),
  text: text(),
  html: text(),
  state: choice('waiting', 'sent', 'refused'),
  attempts: integer().initially(0),
  error: text().null(),
  queuedAt: text(),
  sentAt: text().null(),
})

/** Emails and the links in them. */
export const mails = [
  created(token),
  `CREATE INDEX token_by_review ON token (review_id)`,
  `CREATE INDEX token_by_end ON token (expires_at)`,
  `CREATE INDEX token_by_use ON token (used_at) WHERE used_at IS NOT NULL`,

  created(mail),
  `CREATE INDEX mail_by_shop ON mail (shop_id, id)`,
  `CREATE INDEX mail_by_email ON mail (email_key, queued_at)`,
  `CREATE INDEX mail_by_review ON mail (review_id)`,
  `CREATE INDEX mail_troubled ON mail (shop_id, id) WHERE error IS NOT NULL AND state <> 'sent'`,
  `CREATE INDEX mail_by_state ON mail (shop_id, state)`,
  `CREATE INDEX mail_by_time ON mail (queued_at)`,
  `CREATE INDEX mail_by_kind ON mail (shop_id, kind, queued_at)`,
]
