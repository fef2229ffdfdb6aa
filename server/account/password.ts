import { hash, verify } from '@node-rs/argon2'
import type { Services } from '../services'

export function hashPassword({ argon }: Pick<Services, 'argon'>, password: string): Promise<string> {
  return hash(password, argon)
}

export function checkPassword(passwordHash: string, password: string): Promise<boolean> {
  return verify(passwordHash, password)
}
