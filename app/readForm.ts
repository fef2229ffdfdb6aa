import { data, type AppLoadContext } from 'react-router'
import { z } from 'zod'

const MAX_JSON_DEPTH = 20

/** The fields of a form as an object; the last one wins if a name is repeated. */
export function formFields({ form }: Pick<AppLoadContext, 'form'>): Record<string, FormDataEntryValue> {
  return Object.fromEntries(form ?? [])
}

/** Parses the fields with a schema; invalid ones are answered with 400. */
export function readForm<S extends z.ZodType>(context: Pick<AppLoadContext, 'form'>, schema: S): z.infer<S> {
  const read = schema.safeParse(formFields(context))
  if (!read.success) throw data(null, { status: 400 })
  return read.data
}

/** Only the named fields. */
export function onlyFields({ form }: Pick<AppLoadContext, 'form'>, names: readonly string[]): FormData {
  const kept = new FormData()
  for (const [name, value] of form ?? []) {
    if (!names.includes(name)) continue
    if (typeof value === 'string') kept.append(name, value)
    else kept.append(name, value, value.name)
  }
  return kept
}

/** A field that contains JSON. */
export function jsonText<S extends z.ZodType>(schema: S) {
  return z
    .string()
    .transform((text, at) => {
      try {
        if (depthOf(text) > MAX_JSON_DEPTH) throw new Error('nested too deeply')
        return JSON.parse(text) as unknown
      } catch {
        at.addIssue('not JSON')
        return z.NEVER
      }
    })
    .pipe(schema)
}

/** The depth of nesting in a JSON text. */
function depthOf(text: string): number {
  let [depth, deepest, inString] = [0, 0, false]
  for (let at = 0; at < text.length; at++) {
    const character = text[at]
    if (inString && character === '\\') at++
    else if (character === '"') inString = !inString
    else if (inString) continue
    else if (character === '[' || character === '{') deepest = Math.max(deepest, ++depth)
    else if (character === ']' || character === '}') depth--
  }
  return deepest
}
