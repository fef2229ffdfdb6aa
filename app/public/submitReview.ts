import { parseWithZod } from '@conform-to/zod/v4'
import type { SubmissionResult } from '@conform-to/react'
import type { AppLoadContext } from 'react-router'
import type { z } from 'zod'
import { messageCode } from '../../core/messages/code'
import { storageFaultIn } from '../storageProblem'
import { waitCode } from '../waitCode'
import { mediaErrors, takePhotos } from './photos/takePhotos'
import type { KeptPhoto } from './photos/usePhotos'

/** A review that a customer sends, or her change of one. */
interface Sending<S extends z.ZodType, R> {
  sent: FormData
  schema: S
  /** The seconds that this client has to wait; null if it may send now. */
  wait: number | null
  /** The form that photos are added to; null if none can be added. */
  owner: { id: number; shopId: number } | null
  /** Photos of the review so far. */
  kept?: KeptPhoto[]
  hasLostPhotos?: (value: z.output<S>) => Promise<boolean>
  store: (value: z.output<S>) => Promise<R>
}

export type Submitted<R> =
  | { outcome: 'stored'; stored: R }
  | {
      outcome: 'refused'
      status: 422 | 429 | 503
      /** For `Retry-After`, in seconds; null if waiting does not help. */
      retryAfter: number | null
      /** Codes by field; the form itself has an empty name. */
      errors: Record<string, string[] | null>
      /** The same for the page, with what was typed. */
      reply: SubmissionResult<string[]>
      photos: KeptPhoto[]
    }

/** What becomes of what a customer sends, for the form's page, its JSON and the page of her review. */
export async function submitReview<S extends z.ZodType, R>(
  context: AppLoadContext,
  { sent, schema, wait, owner, kept = [], hasLostPhotos = async () => false, store }: Sending<S, R>,
): Promise<Submitted<R>> {
  const { form, photos, problems } = await takePhotos(sent, context, owner, { kept, opening: wait === null })
  const submission = parseWithZod(form, { schema })
  const notNow = (status: 429 | 503, code: string, retryAfter: number): Submitted<R> => ({
    outcome: 'refused',
    status,
    retryAfter,
    errors: { '': [code] },
    reply: submission.reply({ formErrors: [code] }),
    photos,
  })
  const unfit = (media: string[]): Submitted<R> => ({
    outcome: 'refused',
    status: 422,
    retryAfter: null,
    errors: {
      ...(submission.status !== 'success' && submission.error),
      ...(media.length > 0 && { media }),
    },
    reply: submission.reply(mediaErrors(media)),
    photos,
  })
  if (wait !== null) return notNow(429, waitCode(wait), wait)
  if (submission.status !== 'success' || problems.length > 0) return unfit(problems)
  if (await hasLostPhotos(submission.value)) return unfit([messageCode('photo.error.gone')])
  try {
    return { outcome: 'stored', stored: await store(submission.value) }
  } catch (error) {
    if (!storageFaultIn(error)) throw error
    return notNow(503, messageCode('problem.notSaved'), STORAGE_RETRY_S)
  }
}

const STORAGE_RETRY_S = 60

export const retryHeaders = (retryAfter: number | null): Record<string, string> =>
  retryAfter === null ? {} : { 'Retry-After': String(retryAfter) }
