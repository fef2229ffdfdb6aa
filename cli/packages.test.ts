import { readFileSync } from 'node:fs'
import { expect, test } from 'vitest'

const json = (file: string) =>
  JSON.parse(readFileSync(file, 'utf8')) as Record<string, Record<string, string>>

test('docs/packages.md lists each package with its licence, and no other', () => {
  const { dependencies, devDependencies } = json('package.json')
  const names = Object.keys({ ...dependencies, ...devDependencies })
  const listed = [...readFileSync('docs/packages.md', 'utf8').matchAll(/^\| `([^`]+)`\s*\| (\S+)\s*\| \S/gm)]
  expect(Object.fromEntries(listed.map(([, name, licence]) => [name, licence]))).toEqual(
    Object.fromEntries(names.map((name) => [name, json(`node_modules/${name}/package.json`).license])),
  )
})
