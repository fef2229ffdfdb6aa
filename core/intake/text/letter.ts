import { isBlank, partOf, trimBlank, type Line } from './lines'
import { looksLikeName } from './personLike'

/** A letter without greeting, quoted thread and signature, and its signer. */
export interface Letter {
  words: Line[]
  signedBy: Line | null
  signature: Line[]
}

const greetingWord = String.raw`(?:hi|hello|hey|hiya|dear|good\s+(?:morning|afternoon|evening|day)|to\s+whom|greetings|hallo|liebe[rs]?|guten\s+(?:tag|morgen|abend)|sehr\s+geehrte[rs]?|moin|servus|grüezi|bonjour|bonsoir|salut|chère?s?|madame|hola|buenas?(?:\s+(?:tardes|noches))?|buenos\s+días|estimad[oa]s?|querid[oa]s?|cześć|dzień\s+dobry|szanown[iay]\p{L}*|witam|ciao|buongiorno|buonasera|gentil[ei]\p{L}*|salve|dag|beste|hoi|goedendag|geachte|hej(?:san)?|hei|hallå|olá|oi|bom\s+dia|boa\s+(?:tarde|noite)|caro|cara)`
const greetingLine = new RegExp(`^${greetingWord}(?!\\p{L})[^.!?]{0,48}[,!.:–-]?$`, 'iu')
const greetingStart = new RegExp(
  `^${greetingWord}(?!\\p{L})(?:\\s+[\\p{L}&'’.-]+){0,4}\\s*[,!]\\s+(?=\\S)`,
  'iu',
)

const quoteIntro =
  /^(?:on\s.{6,120}\swrote\s*:|am\s.{6,120}\sschrieb\b.{0,80}:|le\s.{6,120}\sa\s+écrit\s*:|el\s.{6,120}\sescribió\s*:|w\s+dniu\s.{6,120}\s(?:napisał|pisze)\p{L}*.{0,40}:|il\s.{6,120}\sha\s+scritto\s*:|op\s.{6,120}\sschreef\b.{0,80}:)$/iu
const quoteRule =
  /^(?:[-_]{2,}\s*)?(?:original\s+message|forwarded\s+message|begin\s+forwarded|ursprüngliche\s+nachricht|weitergeleitete\s+nachricht|message\s+d['’]origine|message\s+transféré|mensaje\s+original|wiadomość\s+oryginalna|messaggio\s+originale|oorspronkelijk\s+bericht)\b.{0,20}$|^_{8,}$/iu
const headerAgain = /^(?:from|von|de|od|da|van)\s*:\s*\S.*(?:@|<)/iu

const closingWords = String.raw`(?:(?:with\s+)?(?:best|kind(?:est)?|warm(?:est)?|many|all\s+the|with)\s*(?:and\s+\p{L}+\s+)?(?:regards|wishes|thanks|best)?|regards|thanks(?:\s+(?:again|so\s+much|a\s+lot|a\s+million|for\s+everything))?|thank\s+you(?:\s+(?:again|so\s+much|very\s+much))?|many\s+thanks|cheers|sincerely|yours(?:\s+(?:sincerely|truly|faithfully))?|love|take\s+care|(?:mit\s+)?(?:freundlichen|besten|vielen|lieben|herzlichen)\s+(?:grüßen?|dank)|(?:viele|liebe|beste|herzliche|schöne)\s+grüße(?:\s+aus\s+\p{L}+)?|gruß|grüße|lg|vg|mfg|danke(?:\s+nochmals?|\s+schön)?|vielen\s+dank|cordialement|bien\s+(?:à\s+vous|cordialement)|merci(?:\s+(?:encore|beaucoup))?|amicalement|bonne\s+journée|(?:un\s+)?(?:cordial\s+)?saludos?(?:\s+cordiales)?|un\s+abrazo|(?:muchas\s+)?gracias|atentamente|pozdrawiam(?:\s+serdecznie)?|dziękuję(?:\s+bardzo)?|z\s+poważaniem|(?:cordiali\s+)?saluti|grazie(?:\s+mille)?|(?:met\s+)?vriendelijke\s+groeten?|groetjes|groeten|(?:hartelijk\s+)?bedankt|mvh|vh|(?:med\s+)?vänliga?\s+hälsning(?:ar)?|hälsningar|(?:med\s+)?venlig\s+hilsen|hilsen|tack|takk|tak|(?:um\s+)?abraços?|obrigad[oa]|atenciosamente|cumprimentos)`
const closingLine = new RegExp(`^${closingWords}\\s*[,.!–-]*$`, 'iu')
const closingAndName = new RegExp(`^${closingWords}\\s*[,.!–-]?\\s+(?<name>\\p{Lu}.*)$`, 'iu')
const sentFrom =
  /^(?:sent\s+from|get\s+\p{L}+\s+for|von\s+meinem|gesendet\s+von|envoyé\s+d|enviado\s+desde|wysłano\s+z|inviato\s+da|verzonden\s+vanaf)\b/iu
const dashName = /^\s*[-–—~]{1,2}\s*(?<name>\p{Lu}.*)$/u

/** Removes greeting, quoted thread and signature from an email or letter. */
export function openLetter(lines: Line[]): Letter {
  const own = withoutGreeting(trimBlank(withoutThread(lines)))
  return withoutSignature(own)
}

function withoutThread(lines: Line[]): Line[] {
  const starts = lines.findIndex((line, i) => {
    const text = line.text.trim()
    const twoLines = `${text} ${lines[i + 1]?.text.trim() ?? ''}`.trim()
    return (
      quoteIntro.test(text) ||
      (/^(?:on|am|le|el|w|il|op)\s/iu.test(text) && quoteIntro.test(twoLines)) ||
      quoteRule.test(text) ||
      (i > 0 && headerAgain.test(text))
    )
  })
  const own = starts < 0 ? lines : lines.slice(0, starts)
  const isQuote = (line: Line) => line.text.trimStart().startsWith('>')
  const length = (of: Line[]) => of.reduce((sum, { text }) => sum + text.trim().length, 0)
  // A person who forwards a quotation writes less than the quotation.
  if (starts < 0 && length(own.filter(isQuote)) > length(own) / 2)
    return own
      .map((line) => (isQuote(line) ? partOf(line, line.text.indexOf('>') + 1) : line))
      .filter((line) => !/:\s*$/u.test(line.text))
  return own.filter((line) => !isQuote(line))
}

function withoutGreeting(lines: Line[]): Line[] {
  const [first, ...rest] = lines
  if (!first) return lines
  if (greetingLine.test(first.text.trim())) return rest.length > 0 ? trimBlank(rest) : lines
  const start = greetingStart.exec(first.text)
  return start ? [partOf(first, start[0].length), ...rest] : lines
}

function withoutSignature(lines: Line[]): Letter {
  const delimiter = lines.findIndex((line) => /^--\s*$/.test(line.text))
  const above = delimiter < 0 ? lines : lines.slice(0, delimiter)
  const below = delimiter < 0 ? [] : lines.slice(delimiter + 1)
  const kept = trimBlank(above.filter((line) => !sentFrom.test(line.text.trim())))

  for (let i = kept.length - 1; i >= Math.max(1, kept.length - 8); i--) {
    const line = kept[i]!
    const named = closingAndName.exec(line.text.trim())?.groups?.name
    if (named && looksLikeName(firstPart(named)))
      return {
        words: trimBlank(kept.slice(0, i)),
        signedBy: nameIn(partOf(line, line.text.lastIndexOf(named))),
        signature: kept.slice(i),
      }
    if (closingLine.test(line.text.trim()) && kept.length - i <= 7) {
      const signer = [...kept.slice(i + 1), ...below].find((after) => !isBlank(after))
      return {
        words: trimBlank(kept.slice(0, i)),
        signedBy: signer ? nameIn(signer) : null,
        signature: kept.slice(i),
      }
    }
  }
  const last = kept.at(-1)
  const inline = last && inlineClosing.exec(last.text)
  if (last && inline?.groups?.name && looksLikeName(firstPart(inline.groups.name))) {
    const words = [...kept.slice(0, -1), partOf(last, 0, inline.index + 1)]
    return { words, signedBy: nameIn(partOf(last, last.text.lastIndexOf(inline.groups.name))), signature: [] }
  }
  const spoken = last && spokenName.exec(last.text)
  if (last && spoken?.groups?.name && looksLikeName(spoken.groups.name)) {
    const words = [...kept.slice(0, -1), partOf(last, 0, spoken.index + 1)]
    return { words, signedBy: nameIn(partOf(last, spoken.index + 1)), signature: [] }
  }
  const head = headBlock(kept)
  if (head > 0)
    return { words: trimBlank(kept.slice(head)), signedBy: nameIn(kept[0]!), signature: kept.slice(0, head) }
  const block = signatureBlock(kept)
  if (block > 0)
    return {
      words: trimBlank(kept.slice(0, block)),
      signedBy: nameIn(kept[block]!),
      signature: kept.slice(block),
    }
  if (last && kept.length > 1) {
    const dashed = dashName.exec(last.text)?.groups?.name
    if (dashed && looksLikeName(firstPart(dashed)))
      return { words: trimBlank(kept.slice(0, -1)), signedBy: nameIn(last), signature: [last] }
    if (looksLikeName(last.text))
      return { words: trimBlank(kept.slice(0, -1)), signedBy: nameIn(last), signature: [last] }
  }
  const signer = below.find((line) => looksLikeName(line.text))
  return { words: kept, signedBy: signer ? nameIn(signer) : null, signature: below }
}

const inlineClosing = new RegExp(
  `[.!?…]\\s+${closingWords}\\s*[,.!–-]?\\s+(?<name>\\p{Lu}[^.!?]{1,50}(?:(?<=\\s\\p{Lu})\\.)?)\\s*$`,
  'iu',
)

/** A name of two or more words after the last sentence. */
const spokenName = /[.!?…]\s+(?<name>\p{Lu}[\p{L}'’-]+(?:\s+\p{L}[\p{L}'’.-]*){1,3})\s*$/u

const isShort = ({ text }: Line) =>
  text.trim().length <= 60 && !/[.!?…]["”]?\s*$/u.test(text.trim().replace(/\b\p{Lu}\.$/u, ''))

/** The end of a first paragraph that consists of a name and short lines about it; 0 if there is none. */
function headBlock(lines: Line[]): number {
  const end = lines.findIndex(isBlank)
  if (end < 1 || end > 3) return 0
  return looksLikeName(firstPart(lines[0]!.text)) && lines.slice(0, end).every(isShort) ? end : 0
}

/**
 * The start of a last paragraph of short lines that begins with a name or contains only one; 0 if there is
 * none.
 */
function signatureBlock(lines: Line[]): number {
  const start = lines.findLastIndex(isBlank) + 1
  const block = lines.slice(start)
  if (start === 0 || block.length > 4) return 0
  if (!block.every(isShort)) return 0
  if (looksLikeName(firstPart(block[0]!.text.replace(/^\s*[-–—~]+\s*/u, '')))) return start
  return block.length === 1 && nameIn(block[0]!) && /^\p{Lu}/u.test(block[0]!.text.trim()) ? start : 0
}

/** No name is longer, and no signature has it further behind. */
const NAME_WITHIN = 200

/** The name before a role, place or company. */
export function firstPart(text: string): string {
  return text
    .slice(0, NAME_WITHIN)
    .split(/\s*(?:,|\(|\||·|\/|\s[-–—]\s)/u)[0]!
    .trim()
}

/** The name in a line of a signature, with its place. */
function nameIn(line: Line): Line | null {
  for (let from = 0; from < Math.min(NAME_WITHIN, line.text.length); from++) {
    if (from > 0 && !/[\s,.!~–—-]/u.test(line.text[from - 1]!)) continue
    const name = firstPart(line.text.slice(from))
    if (name && looksLikeName(name))
      return partOf(
        line,
        from + line.text.slice(from).indexOf(name),
        from + line.text.slice(from).indexOf(name) + name.length,
      )
  }
  return null
}
