import { createChallenge, verifySolution, type Challenge } from 'altcha-lib'
import { deriveKey } from 'altcha-lib/algorithms/pbkdf2'
import { z } from 'zod'
import { workFor } from '../../core/intake/suspicion'
import type { Services } from '../services'
import { hashToken } from './formToken'

export const ALGORITHM = 'PBKDF2/SHA-256'

/** A computation for the browser before it sends a form. It grows with the suspicion against the client. */
export function askForWork({ signingKey }: Services, token: string, level: number): Promise<Challenge> {
  const { rounds, digits } = workFor(level)
  return createChallenge({
    algorithm: ALGORITHM,
    cost: rounds,
    keyPrefix: '0'.repeat(digits),
    deriveKey,
    // Valid for one submission.
    data: { token: hashToken(token), level },
    hmacSignatureSecret: secretOf(signingKey),
  })
}

const answered = z.object({
  challenge: z.object({
    parameters: z.looseObject({
      algorithm: z.literal(ALGORITHM),
      nonce: z.string().max(64),
      salt: z.string().max(64),
      cost: z.number(),
      keyLength: z.number().max(64),
      keyPrefix: z.string().max(8),
      data: z.object({ token: z.string(), level: z.number() }),
    }),
    signature: z.string().max(128),
  }),
  solution: z.object({
    counter: z.number().int().nonnegative().max(0xffffffff),
    derivedKey: z.string().max(128),
  }),
})

/** The level of the finished work; null if it is missing or belongs to another token. */
export async function workDone(
  { signingKey }: Services,
  token: string,
  work: string,
): Promise<number | null> {
  const read = answered.safeParse(parsed(work))
  if (!read.success || read.data.challenge.parameters.data.token !== hashToken(token)) return null
  const { challenge, solution } = read.data
  const { verified } = await verifySolution({
    challenge,
    solution,
    deriveKey,
    hmacSignatureSecret: secretOf(signingKey),
  })
  return verified ? challenge.parameters.data.level : null
}

const secretOf = (signingKey: Buffer) => `work.${signingKey.toString('base64')}`

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
