import { messageCode } from '../../messages/code'
import { findPhrases, phrasesOf } from '../phrases'
import { emailKeyOf } from '../../proof/emailKey'
import { seenSigns } from '../reading'
import type { ReadArrival } from '../memory/arrival'
import { placesOf, quoted, stretches, textAt, withoutOverlaps, type Place, type Signal } from '../signal'

/** Points for asking readers to get in touch; with one other signal it reaches held (60). */
const CONTACT_POINTS = 30
/** Additional points for a handle, email address or number beside it. */
const REACHABLE_POINTS = 20

const requests = phrasesOf(
  'message/msg/dm/pm/text/inbox/whisper/email/mail/contact/ring/call me',
  'write/reply to? me',
  'hit me up',
  'reach me/us',
  'reach out to me',
  'add me on',
  'get in touch with me',
  'my dms/dm/inbox is/are open',
  // Recommending an expert: "contact the expert at", "write to him".
  'contact/email/message/text/whisper/dm him/her/them',
  'contact/email/message/text/whisper our *2 team/expert/agent/manager/office/department/sales',
  'contact/email/message/text/whisper/write the/a to? expert/hacker/agent/broker/trader/doctor/healer/officer/recovery',
  'write to him/her/them',
  'schreib/schreibt/schreiben sie? mir',
  'kontaktier/kontaktiere/kontaktiert/kontaktieren sie? mich',
  'melde/meldet dich/euch bei mir',
  'melden sie sich bei mir/uns',
  'ruf/ruft/rufen sie? mich an',
  'contactez/contacte moi/nous',
  'ecrivez/ecris moi/nous',
  'appelez/appelle moi/nous',
  'escribeme/escribame/contactame/contacteme/contactanos/contactenos/llamame/llameme',
  'mandame un mensaje',
  'napisz do mnie',
  'zadzwon do mnie',
  'skontaktuj sie ze mna',
  'scrivimi/scrivetemi/contattami/contattatemi/contattaci/chiamami/chiamatemi',
  'stuur me/mij een',
  'bel me/mij',
  'neem contact met me/mij/ons',
)
/** "They promised to call me" reports something; only a request to the reader counts. */
const told = new Set(
  'to they he she nobody never not would will could did does staff support team you please dont doesnt didnt wont cant wouldnt couldnt even'.split(
    ' ',
  ),
)
/** "Call me old fashioned" */
const turns = new Set('a an old crazy picky fussy biased back when if about'.split(' '))
/** A contact address within the text. */
const reachable =
  /(?<![\p{L}\p{N}.])@[a-z0-9_.]{3,}|[\p{L}\p{N}._+-]+@[\p{L}\p{N}-]+\.\p{L}{2,}|\+\d[\d\s()/-]{7,}\d/giu

/** The text asks readers to contact the writer, or names an address of somebody else. */
export function contactSignal({
  reading,
  emailKey,
}: Pick<ReadArrival, 'reading' | 'emailKey'>): Signal | null {
  const asked: Place[] = findPhrases(reading, requests)
    .filter(({ before, after }) => !told.has(before?.plain ?? '') && !turns.has(after?.plain ?? ''))
    .map(({ field, start, end }) => ({ field, start, end }))
  if (asked.length === 0 && (reading.signs & seenSigns.at) === 0) return null
  const ways = placesOf(reading, (text) => stretches(text, reachable))
  const isOwn = (place: Place) => emailKey !== '' && emailKeyOf(textAt(reading, place)) === emailKey
  const others = ways.filter((place) => !isOwn(place))
  const isAddress = (place: Place) => /.@/.test(textAt(reading, place))
  // Who leaves her own address wants the shop to answer; that is personal data.
  if (ways.length > 0 && others.length === 0) return null
  if (asked.length === 0 && !others.some(isAddress)) return null
  const places = withoutOverlaps([...asked, ...others])
  return {
    kind: 'contact',
    points: (asked.length > 0 ? CONTACT_POINTS : 0) + (others.length > 0 ? REACHABLE_POINTS : 0),
    headline: messageCode('signal.contact'),
    detail: quoted(reading, places),
    places,
  }
}
