import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { assessFile, type Assessed } from '../cli/assess'
import { HELD_FROM } from '../core/moderation/rules'

export interface LabelledRow {
  label: 'spam' | 'ham' | 'honest'
  body: string
}

/**
 * Assesses reviews in their order, as `elogio assess` does.
 * @param teach a file of decisions learnt before
 */
export function assessRows<Row extends LabelledRow>(
  rows: Row[],
  ownDomains: string[],
  teach?: string,
): (Row & Omit<Assessed, 'id'>)[] {
  const folder = mkdtempSync(path.join(tmpdir(), 'elogio-labelled-'))
  try {
    const input = path.join(folder, 'reviews.jsonl')
    // Answers must not be among the questions.
    const asked = rows.map((row, id) => ({ ...row, label: undefined, kind: undefined, id }))
    writeFileSync(input, asked.map((row) => JSON.stringify(row)).join('\n'))
    const assessed = assessFile(input, ownDomains, teach)
    return rows.map((row, i) => ({ ...row, ...assessed[i]! }))
  } finally {
    rmSync(folder, { recursive: true })
  }
}

/**
 * Spam counts as recognised if it's marked, or held back for anything but personal data. An honest review counts as
 * stopped if it's marked, or held back for its points: a hold for a link, an address or personal data alone is the
 * rule's, not the score's.
 */
export function isStopped({ label, state, score, reasons }: LabelledRow & Omit<Assessed, 'id'>): boolean {
  if (state === 'spam' || score >= HELD_FROM) return true
  return label === 'spam' && state === 'held' && reasons.some(({ signal }) => signal !== 'personal')
}
