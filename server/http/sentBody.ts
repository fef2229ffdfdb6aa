import type { IncomingMessage, ServerResponse } from 'node:http'
import { FormRefused, readFormFields } from './formFields'
import { problems, type Problem } from './problem'
import { BodyRefused, readBody, type Patience } from './requestBody'
import { bodyLimitsOf } from './requestLimits'
import type { UploadMemory } from './uploadMemory'

/** The content of a request: the fields of a form, or bytes. */
export interface SentBody {
  form: FormData | null
  bytes: Buffer | null
}

const nothing: SentBody = { form: null, bytes: null }

/** Reads and parses a request body; returns the problem if it is refused. */
export async function readSentBody(
  req: IncomingMessage,
  res: ServerResponse,
  { memory, client, patience }: { memory: UploadMemory; client: string; patience: Patience },
): Promise<SentBody | { problem: Problem } | 'gone'> {
  if (req.method === 'GET' || req.method === 'HEAD' || req.method === 'OPTIONS') return nothing
  const { maxBytes, kind, maxFieldBytes } = bodyLimitsOf(req)
  if (Number(req.headers['content-length'] ?? 0) > maxBytes) return { problem: problems.tooLarge }
  try {
    const bytes = await readBody(req, res, { memory, client, patience, maxBytes })
    if (kind === 'bytes') return { form: null, bytes }
    const type = req.headers['content-type'] ?? ''
    return { form: await readFormFields(bytes, type, maxFieldBytes), bytes: null }
  } catch (error) {
    if (error instanceof FormRefused) return { problem: problems[error.reason] }
    if (!(error instanceof BodyRefused)) throw error
    return error.reason === 'gone' ? 'gone' : { problem: problems[error.reason] }
  }
}
