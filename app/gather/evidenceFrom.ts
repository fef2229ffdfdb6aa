import type { z } from 'zod'
import {
  evidenceKind,
  evidenceName,
  MOST_EVIDENCE_BYTES,
  MOST_EVIDENCE_FILES,
  type EvidenceKind,
} from '../../core/intake/evidence'
import { messageCode } from '../../core/messages/code'
import type { ManualEntry } from '../../core/intake/manualEntry'

interface GivenEvidence {
  files: { name: string; kind: EvidenceKind; content: Buffer }[]
  /** Codes of messages about files that are left out. */
  errors: string[]
}

/** The files of a form in the field `evidence`. */
export async function evidenceFrom(
  form: FormData | null,
  most = MOST_EVIDENCE_FILES,
): Promise<GivenEvidence> {
  const given: GivenEvidence = { files: [], errors: [] }
  for (const file of form?.getAll('evidence') ?? []) {
    if (typeof file === 'string' || file.size === 0) continue
    const name = evidenceName(file.name)
    const content = Buffer.from(await file.arrayBuffer())
    const kind = evidenceKind(content)
    if (given.files.length >= most) given.errors.push(messageCode('write.error.evidenceMany', { most }))
    else if (content.length > MOST_EVIDENCE_BYTES)
      given.errors.push(messageCode('write.error.evidenceSize', { name }))
    else if (!kind) given.errors.push(messageCode('write.error.evidenceKind', { name }))
    else given.files.push({ name, kind, content })
  }
  return { ...given, errors: [...new Set(given.errors)] }
}

/** The errors of all fields, the files among them. */
export function entryErrors(
  entry: z.ZodSafeParseResult<ManualEntry>,
  { errors }: GivenEvidence,
): Record<string, string[] | undefined> {
  return {
    ...(entry.success ? {} : entry.error.flatten().fieldErrors),
    ...(errors.length > 0 && { evidence: errors }),
  }
}
