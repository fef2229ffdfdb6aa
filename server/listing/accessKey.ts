import { createCipheriv, createDecipheriv, hkdfSync, randomBytes } from 'node:crypto'
import type { Services } from '../services'

const ALGORITHM = 'aes-256-gcm'
const NONCE_BYTES = 12
const TAG_BYTES = 16

const keyFrom = ({ signingKey }: Pick<Services, 'signingKey'>): Buffer =>
  Buffer.from(hkdfSync('sha256', signingKey, '', 'access keys of outside sites', 32))

/** Encrypts an access key with a key derived from the installation's secret. */
export function sealAccessKey(services: Pick<Services, 'signingKey'>, accessKey: string): string {
  const nonce = randomBytes(NONCE_BYTES)
  const cipher = createCipheriv(ALGORITHM, keyFrom(services), nonce)
  const sealed = Buffer.concat([cipher.update(accessKey, 'utf8'), cipher.final()])
  return Buffer.concat([nonce, cipher.getAuthTag(), sealed]).toString('base64url')
}

/** Empty if there is none, or if the secret has changed since. */
export function openAccessKey(services: Pick<Services, 'signingKey'>, sealed: string | null): string {
  if (sealed === null) return ''
  try {
    const bytes = Buffer.from(sealed, 'base64url')
    const decipher = createDecipheriv(ALGORITHM, keyFrom(services), bytes.subarray(0, NONCE_BYTES))
    decipher.setAuthTag(bytes.subarray(NONCE_BYTES, NONCE_BYTES + TAG_BYTES))
    const words = decipher.update(bytes.subarray(NONCE_BYTES + TAG_BYTES))
    return Buffer.concat([words, decipher.final()]).toString('utf8')
  } catch {
    return ''
  }
}
