import { data } from 'react-router'
import { z } from 'zod'

/** The fields of a request by a schema; what makes no sense is answered with 400 and changes nothing. */
export async function readForm<S extends z.ZodType>(request: Request, schema: S): Promise<z.infer<S>> {
  const form = await request.formData().catch(() => new FormData())
  const read = schema.safeParse(Object.fromEntries(form))
  if (!read.success) throw data(null, { status: 400 })
  return read.data
}

/** A field that holds JSON, for what has no flat shape. */
export function jsonText<S extends z.ZodType>(schema: S) {
  return z
    .string()
    .transform((text, at) => {
      try {
        return JSON.parse(text) as unknown
      } catch {
        at.addIssue('not JSON')
        return z.NEVER
      }
    })
    .pipe(schema)
}
