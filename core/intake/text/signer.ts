/** What a signature says of its signer besides the name. */
export interface SignerAbout {
  role: string
  company: string
}

const roleWord =
  /(?<!\p{L})(?:owner|co-?owner|founder|co-?founder|head|director|manager|lead|chair(?:wom|m)?an|president|partner|secretary|treasurer|editor|designer|engineer|developer|teacher|head ?teacher|professor|lecturer|coach|consultant|gardener|beekeeper|chef|cook|baker|nurse|doctor|architect|buyer|purchasing|marketing|sales|operations|coordinator|officer|assistant|c[efmot]o|inhaber(?:in)?|gründer(?:in)?|geschäftsführer(?:in)?|leiter(?:in)?|leitung|lehrer(?:in)?|imker(?:in)?|vorsitzende[r]?|vorstand|einkauf|gérante?|fondat(?:eur|rice)|direct(?:eur|rice)|responsable|président[e]?|apiculteur|apicultrice|professeur[e]?|dueñ[oa]|propietari[oa]|fundador[a]?|director[a]?|gerente|presidente|profesor[a]?|apicultor[a]?|titolare|fondat(?:ore|rice)|direttore|direttrice|responsabile|insegnante|apicoltore|apicoltrice)(?!\p{L})/iu
const companySign =
  /(?<!\p{L})(?:ltd|limited|inc|llc|llp|plc|corp|gmbh|ag|kg|ug|ohg|e\.?\s?v\.?|mbh|sarl|sas|s\.?a\.?|s\.?l\.?|s\.?r\.?l\.?|s\.?p\.?a\.?|b\.?v\.?|co|company|club|association|society|school|college|university|council|farm|garden|gardens|bakery|studio|agency|hotel|café|cafe|restaurant|shop|store|works|group|verein|schule|gärtnerei|bäckerei|hof|école|ferme|escuela|finca|scuola|fattoria)(?:\.|(?!\p{L}))|\s&\s/iu
/** Between a role and a company. */
const parting = /\s*(?:,|\||·|\/|\s[-–—]\s|\s(?:at|bei|chez|presso)\s|\s@\s)\s*/iu
const notAbout = /[@:]|https?|www\.|\d{3}|[★⭐!?"“”„]/u

const MOST_LENGTH = 80
const MOST_LINES = 3

/**
 * Role and company in the lines of a signature, from the last place of the name on. Both are empty unless one of them
 * is sure: a place behind a name is neither.
 */
export function signerAbout(text: string, name: string): SignerAbout {
  const at = text.lastIndexOf(name)
  if (name === '' || at < 0) return { role: '', company: '' }
  const [behind = '', ...below] = text.slice(at + name.length, at + name.length + 4 * MOST_LENGTH).split('\n')
  const first = /^\s*(?:,|\||·|\/|\(|[-–—])\s*(.*?)\)?\s*$/u.exec(behind)?.[1]
  // Words that go on after the name are a sentence.
  if (first === undefined && behind.trim() !== '') return { role: '', company: '' }
  const blank = below.findIndex((line) => line.trim() === '')
  const lines = [first ?? '', ...(blank < 0 ? below : below.slice(0, blank))].slice(0, MOST_LINES)
  const parts = lines
    .filter((line) => line.trim() !== '' && line.length <= MOST_LENGTH)
    .flatMap((line) => line.split(parting))
    .map((part) =>
      part.trim().replace(/[.;]$/u, (end) => (/\p{Lu}\.$|\b(?:ltd|inc|co)\.$/iu.test(part) ? end : '')),
    )
    .filter((part) => part !== '' && !notAbout.test(part) && part.split(/\s+/u).length <= 6)
  const role = parts.find((part) => roleWord.test(part) && !isNamedAfterRole(part)) ?? ''
  const company = parts.find((part) => part !== role && companySign.test(part)) ?? ''
  if (role !== '' && company === '') return { role, company: parts[parts.indexOf(role) + 1] ?? '' }
  if (role === '' && company !== '') return { role: parts[parts.indexOf(company) - 1] ?? '', company }
  return { role, company }
}

/** "Manager & Sons Ltd" is a company. */
const isNamedAfterRole = (part: string) => /\s&\s|(?:ltd|gmbh|inc|llc)\.?$/iu.test(part)
