import { messageCode } from '../messages/code'

export const MOST_VIDEO_BYTES = 100_000_000
export const MOST_VIDEO_SECONDS = 60
/** What a browser tells of its length, and what the file holds, can differ by so much. */
export const SPARE_SECONDS = 1

/** Why a file is refused as a video. */
const videoRefusals = ['empty', 'large', 'long', 'noLength', 'cut', 'codec', 'other', 'slow'] as const
export type VideoRefusal = (typeof videoRefusals)[number]

/** Bytes, or so many zeros, that are put into a file, so that it tells nothing of its maker. No offset changes. */
export type Patch = { at: number; bytes: Uint8Array } | { at: number; zeros: number }

/** What a file is, by its content. Seconds are those of its longest track. */
export type VideoRead =
  | { kind: 'mp4' | 'webm'; seconds: number; patches: Patch[] }
  | { refused: Exclude<VideoRefusal, 'large' | 'slow'> }

/** A file that is read in parts. */
export interface Bytes {
  size: number
  /** Fewer bytes at the end of the file. */
  read: (at: number, length: number) => Uint8Array
}

/** The message code of a refusal. */
export const videoRefusalCode = (refusal: VideoRefusal): string =>
  messageCode(`video.refused.${refusal}`, {
    megabytes: MOST_VIDEO_BYTES / 1_000_000,
    seconds: MOST_VIDEO_SECONDS,
  })
