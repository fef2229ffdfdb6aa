import { stretches } from '../signal'

/** "anna (at) post.example" */
const bracketed =
  /[\p{L}\p{N}._+-]{2,}\s*(?:\(at\)|\[at\]|\{at\}|\s@\s)\s*[\p{L}\p{N}-]{2,}\s*(?:\(dot\)|\[dot\]|\(punkt\)|\sdot\s|\spunkt\s|\.)\s*\p{L}{2,12}(?!\p{L})/giu
/** "anna at post dot example" */
const spoken = /[\p{L}\p{N}._+-]{2,}\sat\s[\p{L}\p{N}-]{2,}\s(?:dot|punkt)\s\p{L}{2,12}(?!\p{L})/giu
/** Words before an email address. Without them "bees at hivedeals dot example" is a shop. */
const led =
  /(?:mail|write|writing|contact|reach|reply|message|address|adresse|schreib\p{L}*|escr\p{L}*|[ée]cri\p{L}*|scriv\p{L}*)\P{L}+(?:\p{L}+\P{L}+){0,3}$/iu

/** Mailboxes spelt out, so that machines do not find them. */
export function spelledOutEmails(text: string): { start: number; end: number }[] {
  const said = stretches(text, spoken).filter(({ start, end }) => {
    const [who] = text.slice(start, end).split(/\s/u)
    return /[._\d]/u.test(who!) || led.test(text.slice(0, start))
  })
  return [...stretches(text, bracketed), ...said]
}
