import type { Knex } from 'knex'
import { expect, test } from 'vitest'
import { openMigrated } from '../../../tests/support/prepared'

interface Column {
  name: string
  type: string
  required: 0 | 1
  key: number
  value: string | null
  hidden: number
}

/** The tables of a database as a page: their columns, what they refer to, their indexes and triggers. */
async function drawn(db: Knex): Promise<string> {
  const tables: { name: string; sql: string }[] = await db.raw(
    `SELECT name, sql FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'knex_%'
      AND name NOT GLOB '*_text_*' ORDER BY name`,
  )
  const parts = [
    '# Schema',
    'Drawn from the database by `server/data/schema/schema.test.ts`, which fails if this page is older than `server/data/schema/`. To draw it again: `npx vitest run --project unit server/data/schema -u`.',
  ]
  for (const { name, sql } of tables) {
    const columns: Column[] = await db.raw(
      'SELECT name, type, "notnull" AS required, pk AS key, dflt_value AS value, hidden FROM pragma_table_xinfo(?)',
      [name],
    )
    const references: { column: string; target: string }[] = await db.raw(
      'SELECT "from" AS "column", "table" AS target FROM pragma_foreign_key_list(?)',
      [name],
    )
    const more: { type: string; name: string; sql: string }[] = await db.raw(
      "SELECT type, name, sql FROM sqlite_master WHERE tbl_name = ? AND type IN ('index', 'trigger') AND sql IS NOT NULL ORDER BY type, name",
      [name],
    )
    const checks = [...sql.matchAll(/CHECK \("(\w+)" IN \(([^)]*)\)\)/g)]
    const choices = new Map(checks.map(([, column, values]) => [column, values]))
    const listed = (type: string) => more.filter((one) => one.type === type)
    parts.push(
      `## ${name}`,
      [
        '| column | type | refers to | notes |',
        '| --- | --- | --- | --- |',
        ...columns
          .filter(({ hidden }) => hidden !== 1)
          .map(({ name: column, type, required, key, value, hidden }) => {
            const notes = [
              key > 0 && 'key',
              key === 0 && !required && hidden === 0 && 'may be null',
              hidden > 1 && 'generated',
              value !== null && `\`${value}\` at first`,
              choices.has(column) && choices.get(column)!.replaceAll("'", ''),
            ]
            const target = references.find((one) => one.column === column)?.target ?? ''
            return `| ${column} | ${type.toLowerCase()} | ${target} | ${notes.filter(Boolean).join('; ')} |`
          }),
      ].join('\n'),
    )
    const indexes = listed('index').map(({ name: index, sql: made }) => {
      const [, unique, keys] = /^CREATE (UNIQUE )?INDEX \w+ ON \w+ ([\s\S]*)$/.exec(made)!
      return `- \`${index}\`: ${unique ? 'unique ' : ''}\`${keys!.replace(/\s+/g, ' ')}\``
    })
    if (indexes.length > 0) parts.push(indexes.join('\n'))
    const triggers = listed('trigger').map((one) => `\`${one.name}\``)
    if (triggers.length > 0) parts.push(`Triggers: ${triggers.join(', ')}.`)
  }
  return `${parts.join('\n\n')}\n`
}

test('docs/schema.md shows the tables as they are', async () => {
  const db = await openMigrated()
  await expect(await drawn(db)).toMatchFileSnapshot('../../../docs/schema.md')
  expect(await db.raw('PRAGMA foreign_key_check')).toEqual([])
  await db.destroy()
})
