import { stringify } from 'csv-stringify/sync'

/* A CSV file that no spreadsheet program reads as anything but text, and its way back. */

/**
 * Where a program may begin a cell, whatever it takes for the separator, when a formula follows, or an apostrophe of
 * this guard. Programs also read the wide signs of Japanese keyboards.
 */
const formulaStart = /(?<=^|[\r\n;\t\u2028\u2029])(?='*[=+\-@\uff0b\uff0d\uff1d\uff20])/g
const guard = /(?<=^|[\r\n;\t\u2028\u2029])'(?='*[=+\-@\uff0b\uff0d\uff1d\uff20])/g

/** Puts an apostrophe before everything in a text that a program could take for a formula. */
export const guardFormulas = (text: string): string => text.replace(formulaStart, "'")

/** The text as it was before `guardFormulas`. */
export const unguardFormulas = (text: string): string => text.replace(guard, '')

/** Each field is quoted, since programs differ in what else ends one. Rows end with CR LF. */
export const csvText = (rows: string[][]): string =>
  stringify(
    rows.map((cells) => cells.map(guardFormulas)),
    { quoted: true, quoted_empty: true, record_delimiter: '\r\n' },
  )
