import { statfs } from 'node:fs/promises'
import path from 'node:path'
import { messageCode } from '../../core/messages/code'
import { backupsFolder, backupsIn } from '../backup/backupsFolder'
import { DAILY } from '../backup/dailyBackup'
import { asksTooMany } from '../collection/confirmation'
import { jobError, jobsOfShop } from '../data/jobs'
import { mailCounts, troubledMails } from '../data/mails'
import type { Shop } from '../data/shops'
import { listingsView } from '../listing/listingViews'
import { outdatedPages } from '../publishing/seen'
import type { Services } from '../services'

/** A part of the installation or the shop that can fail without anybody noticing. */
export interface Check {
  about: 'email' | 'disk' | 'backup' | 'jobs' | 'listings' | 'code' | 'address'
  state: 'good' | 'wrong'
  /** A message code: what is so, or what is wrong and what to do. */
  text: string
  /** The page of the shop where it can be mended, below `/s/SLUG`; null if it is a matter of the server. */
  link: string | null
}

const MEGABYTE = 1_000_000
/** Less than this fills up in a day of photos. */
const LITTLE_SPACE_BYTES = 1_000 * MEGABYTE
const HOUR_MS = 3_600_000
/** Backups are made daily; two days old, one has failed. */
const OLD_BACKUP_MS = 48 * HOUR_MS
const MAX_READ = 30

/** What is right and wrong, in the order in which it matters. */
export async function checksOf(services: Services, shop: Shop): Promise<Check[]> {
  const checks = await Promise.all([
    checkDisk(services),
    checkBackup(services),
    checkEmail(services, shop),
    checkJobs(services, shop),
    checkListings(services, shop),
    checkCode(services, shop),
  ])
  return [...checks, checkAddress(services)].toSorted(
    (a, b) => Number(a.state === 'good') - Number(b.state === 'good'),
  )
}

const folderOf = ({ mediaFolder }: Services) => path.dirname(mediaFolder)

async function checkDisk(services: Services): Promise<Check> {
  const room = await statfs(folderOf(services)).catch(() => null)
  if (!room) return { about: 'disk', state: 'wrong', text: messageCode('problems.diskUnknown'), link: null }
  const free = room.bavail * room.bsize
  const amount = { gigabytes: (free / (1000 * MEGABYTE)).toFixed(1) }
  return free < LITTLE_SPACE_BYTES
    ? { about: 'disk', state: 'wrong', text: messageCode('problems.diskFull', amount), link: null }
    : { about: 'disk', state: 'good', text: messageCode('problems.diskGood', amount), link: null }
}

async function checkBackup(services: Services): Promise<Check> {
  const found = (state: Check['state'], text: string): Check => ({ about: 'backup', state, text, link: null })
  const now = services.now()
  const [latest] = backupsIn(backupsFolder(folderOf(services)), DAILY)
  const error = await jobError(services.db, 'backup')
  const age = latest ? now.getTime() - latest.at.getTime() : null
  if (age !== null && age < OLD_BACKUP_MS) {
    return found('good', messageCode('problems.backupGood', { count: Math.floor(age / HOUR_MS) }))
  }
  if (error)
    return found('wrong', error.startsWith('problems.') ? error : messageCode('problems.backupFailed'))
  // The first is made an hour after the start.
  if (age === null) return found('good', messageCode('problems.backupSoon'))
  return found('wrong', messageCode('problems.backupOld', { count: Math.floor(age / (24 * HOUR_MS)) }))
}

async function checkEmail(services: Services, shop: Shop): Promise<Check> {
  const { db, mailer } = services
  const found = (state: Check['state'], text: string): Check => ({
    about: 'email',
    state,
    text,
    link: 'settings/email',
  })
  if (!mailer) return found('wrong', messageCode('problems.emailNone'))
  const troubled = await troubledMails(db, shop.id, MAX_READ)
  const count = troubled.length
  if (count > 0) return found('wrong', messageCode('problems.emailTroubled', { count }))
  if (await asksTooMany(services, shop)) return found('wrong', messageCode('problems.emailMany'))
  const { sent } = await mailCounts(db, shop.id)
  return found(
    'good',
    sent === 0 ? messageCode('problems.emailReady') : messageCode('problems.emailGood', { count: sent }),
  )
}

async function checkJobs({ db }: Services, shop: Shop): Promise<Check> {
  const failed = (await jobsOfShop(db, shop.id, MAX_READ)).filter(
    ({ kind, state, error }) =>
      kind !== 'backup' && kind !== 'sendMail' && (state === 'failed' || (state === 'due' && error !== null)),
  )
  const about = { about: 'jobs', link: 'settings/jobs' } as const
  return failed.length > 0
    ? { ...about, state: 'wrong', text: messageCode('problems.jobsFailed', { count: failed.length }) }
    : { ...about, state: 'good', text: messageCode('problems.jobsGood') }
}

async function checkListings(services: Services, shop: Shop): Promise<Check> {
  const listings = (await listingsView(services, shop)).filter(({ state }) => state !== 'disconnected')
  const failing = listings.filter(({ refusal }) => refusal !== null)
  const about = { about: 'listings', link: 'gather/connect' } as const
  if (failing.length > 0) {
    const [first] = failing
    const link = `gather/listings/${first!.publicId}`
    return {
      about: 'listings',
      link,
      state: 'wrong',
      text: messageCode('problems.listingsFailing', { count: failing.length, name: first!.name }),
    }
  }
  return { ...about, state: 'good', text: messageCode('problems.listingsGood', { count: listings.length }) }
}

async function checkCode(services: Services, shop: Shop): Promise<Check> {
  const outdated = await outdatedPages(services, shop)
  const [first] = outdated
  if (!first) return { about: 'code', state: 'good', text: messageCode('problems.codeGood'), link: 'show' }
  const text = messageCode('problems.codeOutdated', { count: outdated.length, page: first.page })
  return { about: 'code', state: 'wrong', text, link: `show/${first.key}` }
}

function checkAddress({ publicUrl }: Services): Check {
  const { protocol, hostname } = new URL(publicUrl)
  const isLocal = hostname === 'localhost' || hostname === '127.0.0.1'
  const about = { about: 'address', link: null } as const
  if (isLocal)
    return { ...about, state: 'wrong', text: messageCode('problems.addressLocal', { address: publicUrl }) }
  if (protocol === 'http:')
    return { ...about, state: 'wrong', text: messageCode('problems.addressOpen', { address: publicUrl }) }
  return { ...about, state: 'good', text: messageCode('problems.addressGood', { address: publicUrl }) }
}
