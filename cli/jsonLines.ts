import { readFileSync } from 'node:fs'
import type { z } from 'zod'
import { decodeFile } from '../core/formats/decodeFile'

/**
 * Parses each record of a JSON Lines file with a schema.
 * @throws Error that names the file, the line and the field
 */
export function readJsonLines<T>(file: string, schema: z.ZodType<T>): T[] {
  return decodeFile(readFileSync(file))
    .replace(/^\uFEFF/, '')
    .split('\n')
    .flatMap((line, i) => (line.trim() === '' ? [] : [parseLine(line, schema, `${file}, line ${i + 1}`)]))
}

function parseLine<T>(line: string, schema: z.ZodType<T>, where: string): T {
  let value: unknown
  try {
    value = JSON.parse(line)
  } catch {
    throw new Error(`${where}: this is not JSON.`)
  }
  const parsed = schema.safeParse(value)
  if (parsed.success) return parsed.data
  const [issue] = parsed.error.issues
  throw new Error(`${where}: ${issue!.path.join('.') || 'the record'}: ${issue!.message}`)
}
