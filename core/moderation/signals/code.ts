import { messageCode } from '../../messages/code'
import type { Reading } from '../reading'
import { placesOf, quoted, stretches, withoutOverlaps, type Signal } from '../signal'

/** Points for markup or code; customers write neither. */
const CODE_POINTS = 76
const patterns = [
  // Elements that do something, and handlers of events.
  /<\s*\/?\s*(?:script|iframe|object|embed|svg|img|form|input|meta|link|style|base|body|html|div|span|video|audio|a)\b[^>\n]{0,200}>?/giu,
  /\bon(?:load|error|click|mouseover|focus)\s*=\s*[^\s>]{1,120}/giu,
  /\b(?:javascript|vbscript|data:text\/html)\s*:/giu,
  /\b(?:eval|atob|alert|document\.(?:cookie|write|location)|fromCharCode|fetch|XMLHttpRequest)\s*\(/gu,
  /\[\/?(?:url|img|link|size|color)(?:=[^\]\n]{0,200})?\]/giu,
  // Templates that a careless program would fill in.
  /\{\{[^{}\n]{1,120}\}\}|\$\{[^{}\n]{1,120}\}|<%[^%\n]{0,120}%>|#\{[^{}\n]{1,120}\}/gu,
  // Databases.
  /'\s*(?:or|and)\s+['"\d][^\n]{0,20}=|\b(?:union\s+(?:all\s+)?select|drop\s+table|insert\s+into|select\s+(?:\*|\w{1,40}(?:\s*,\s*\w{1,40}){1,20})\s+from\s+\w+|xp_cmdshell|sleep\s*\(\s*\d)/giu,
  // Files and commands.
  /(?:\.\.[/\\]){2,}[^\s]{0,80}|%(?:00|2e%2e|3c|27)|\/etc\/(?:passwd|shadow|hosts)\b|\b(?:cmd|powershell)\s*(?:\.exe)?\s*\/c\b/giu,
  /\b(?:curl|wget)\s+[^\s|;]{4,200}|[|;&]\s*(?:(?:cat|rm|nc)\s+[-/]\S{1,80}|(?:sh|bash)\s*(?:$|[\n;|]))/giu,
  // Formulas that reach out of a spreadsheet.
  /(?:^|[\s"'])[=+@-]\s*(?:HYPERLINK|IMPORTXML|IMPORTDATA|WEBSERVICE|CMD|DDE)\b[^\n]{0,160}/giu,
]

/** Most texts have none of these. */
const mayHold = /[<[{%|=(;]|\.\.[/\\]|:\S|table|select/iu

/** Markup, scripts, queries, paths, commands and formulas. */
export function codeSignal(reading: Reading): Signal | null {
  if (!mayHold.test(reading.title) && !mayHold.test(reading.body)) return null
  const places = withoutOverlaps(
    placesOf(reading, (text) => patterns.flatMap((pattern) => stretches(text, pattern))),
  )
  if (places.length === 0) return null
  return {
    kind: 'code',
    points: CODE_POINTS,
    headline: messageCode('signal.code'),
    detail: quoted(reading, places),
    places,
  }
}
