import { fixedColumns } from './choices'
import type { ConfiguredColumn } from './configuration'
import type { Quotation } from './quotation'

type FixedColumn = (typeof fixedColumns)[number]
const afterAnswers: FixedColumn[] = ['rating', 'product', 'date']

const ANSWER = 'answer:'

export interface TableColumn extends ConfiguredColumn {
  /** A fixed column; null for an answer. */
  fixed: FixedColumn | null
  /** The label of an answer; empty for a fixed column. */
  label: string
}

/**
 * The columns with a value in some quotation, hidden ones too: first the configured ones, in their order, then
 * those that have come since.
 */
export function tableColumns(configured: ConfiguredColumn[], quotations: Quotation[]): TableColumn[] {
  const known = new Set(configured.map(({ key }) => key))
  const answers = answerColumns(quotations, known)
  const present = new Set(
    [...fixedColumns.filter((one) => !afterAnswers.includes(one)), ...answers.keys(), ...afterAnswers].filter(
      (key) => key.startsWith(ANSWER) || quotations.some((one) => hasValue(one, key as FixedColumn)),
    ),
  )
  return [
    ...configured.filter(({ key }) => present.has(key)),
    ...[...present]
      .filter((key) => !known.has(key))
      .map((key) => ({ key, heading: '', hidden: false, setOff: false })),
  ].map((column) => ({
    ...column,
    fixed: fixedColumns.find((one) => one === column.key) ?? null,
    label: answers.get(column.key) ?? '',
  }))
}

/** The labels of answers by the keys of their columns. Questions that say the same share a column. */
function answerColumns(quotations: Quotation[], configured: Set<string>): Map<string, string> {
  const keysOf = new Map<string, string[]>()
  for (const { key, label } of quotations.flatMap((quotation) => quotation.answers))
    keysOf.set(label, [...new Set([...(keysOf.get(label) ?? []), ANSWER + key])])
  return new Map(
    [...keysOf].map(([label, keys]) => [keys.find((key) => configured.has(key)) ?? keys[0]!, label]),
  )
}

function hasValue(quotation: Quotation, column: FixedColumn): boolean {
  switch (column) {
    case 'name':
      return quotation.name !== ''
    case 'words':
      return quotation.title !== '' || quotation.words.head.length > 0 || quotation.photos.length > 0
    case 'rating':
      return quotation.marks !== null || quotation.numeral !== ''
    case 'product':
      return quotation.product !== null
    case 'date':
      return quotation.date !== null
  }
}

/** The columns as they are configured by now: the configured ones first, in their order. */
export function asConfigured<C extends ConfiguredColumn>(columns: C[], configured: ConfiguredColumn[]): C[] {
  const place = new Map(configured.map(({ key }, i) => [key, i]))
  const placeOf = ({ key }: C) => place.get(key) ?? configured.length
  return columns
    .toSorted((a, b) => placeOf(a) - placeOf(b))
    .map((column) => ({ ...column, ...configured[placeOf(column)] }))
}

/** Replaces a column in the list of all, for storing. */
export const withColumn = (
  columns: TableColumn[],
  key: string,
  change: Partial<Omit<ConfiguredColumn, 'key'>>,
): ConfiguredColumn[] =>
  columns.map((column) => configuredOf(column.key === key ? { ...column, ...change } : column))

/** Moves a column by so many visible places. */
export function withColumnMoved(columns: TableColumn[], key: string, by: -1 | 1): ConfiguredColumn[] {
  const visible = columns.filter(({ hidden }) => !hidden)
  const neighbour = visible[visible.findIndex((one) => one.key === key) + by]
  const moved = columns.find((one) => one.key === key)
  if (!neighbour || !moved) return columns.map(configuredOf)
  const others = columns.filter((one) => one.key !== key)
  const at = others.indexOf(neighbour) + (by === 1 ? 1 : 0)
  return others.toSpliced(at, 0, moved).map(configuredOf)
}

const configuredOf = ({ key, heading, hidden, setOff }: ConfiguredColumn): ConfiguredColumn => ({
  key,
  heading,
  hidden,
  setOff,
})
