import { expect, test } from 'vitest'
import { buildFaults } from './faults'
import { buildLog } from './log'

test('what nobody expected is counted and logged with its stack, and whatever was thrown is taken', () => {
  const lines: { level: number; err?: { stack?: string } }[] = []
  const faults = buildFaults(buildLog('info', { write: (line) => void lines.push(JSON.parse(line)) }))
  for (const thrown of [new Error('a mistake'), 'words', undefined, null]) faults.note(thrown)
  expect(faults.count()).toBe(4)
  expect(lines.map(({ level }) => level)).toEqual([50, 50, 50, 50])
  expect(lines[0]!.err!.stack).toContain('a mistake')
})
