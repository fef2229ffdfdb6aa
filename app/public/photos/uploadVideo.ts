import { messageCode } from '../../../core/messages/code'
import {
  MOST_VIDEO_BYTES,
  MOST_VIDEO_SECONDS,
  SPARE_SECONDS,
  videoRefusalCode,
  type VideoRefusal,
} from '../../../core/video/video'
import { PhotoProblem, uploadPhoto, type UploadedPhoto } from './uploadPhoto'

const PIECE_BYTES = 4_000_000
/** Attempts to send a piece, the time between them doubles; and how often the server may have lost what it had. */
const MOST_ATTEMPTS = 7
const FIRST_WAIT_MS = 500
const READING_MS = 15_000
const LONGEST_SIDE = 1600
/** Not the very first picture, which is often black. */
const PICTURE_AT_S = 0.2

const refused = (why: VideoRefusal) => new PhotoProblem(videoRefusalCode(why), false)

/**
 * Sends a video: a picture of it first, then the file in pieces. After a lost connection it goes on where it was.
 * @param photoAddress for the picture; the video's address is beside it
 * @throws PhotoProblem if it is refused
 */
export async function uploadVideo(
  photoAddress: string,
  file: File,
  progress: (part: number) => void,
): Promise<UploadedPhoto> {
  if (file.size === 0) throw refused('empty')
  if (file.size > MOST_VIDEO_BYTES) throw refused('large')
  const stored = await uploadPhoto(photoAddress, await pictureOf(file), () => undefined)
  const address = `${photoAddress.replace(/\/photo\?/, '/video?')}&key=${stored.key}&whole=${file.size}`
  let [at, lost] = [0, 0]
  while (lost < MOST_ATTEMPTS) {
    const answer = await sendPiece(`${address}&at=${at}`, file.slice(at, at + PIECE_BYTES))
    if ('video' in answer) return stored
    if (answer.size <= at) lost++
    at = answer.size
    progress(at / file.size)
  }
  throw new PhotoProblem(messageCode('photo.error.offline'), true)
}

type Answer = { size: number } | { video: string }

async function sendPiece(address: string, piece: Blob): Promise<Answer> {
  for (let attempt = 1; ; attempt++) {
    const response = await fetch(address, {
      method: 'POST',
      headers: { Accept: 'application/json', 'Content-Type': 'application/octet-stream' },
      body: piece,
    }).catch(() => null)
    if (response?.ok) return (await response.json()) as Answer
    const isLasting = response !== null && response.status < 500 && response.status !== 429
    if (isLasting || attempt === MOST_ATTEMPTS) {
      const said = (await response?.json().catch(() => null)) as { error?: string } | null | undefined
      throw new PhotoProblem(said?.error ?? messageCode('photo.error.offline'), !isLasting)
    }
    await new Promise((resolve) => setTimeout(resolve, FIRST_WAIT_MS * 2 ** (attempt - 1)))
  }
}

/** An early picture of a video, as the browser plays it. */
async function pictureOf(file: File): Promise<Blob> {
  const video = document.createElement('video')
  video.muted = true
  video.playsInline = true
  video.preload = 'auto'
  video.src = URL.createObjectURL(file)
  try {
    await happens(video, 'loadeddata')
    if (video.duration > MOST_VIDEO_SECONDS + SPARE_SECONDS && Number.isFinite(video.duration))
      throw refused('long')
    const sought = happens(video, 'seeked')
    video.currentTime = Math.min(PICTURE_AT_S, (video.duration || 0) / 2)
    await sought
    const scale = Math.min(1, LONGEST_SIDE / Math.max(video.videoWidth, video.videoHeight))
    const canvas = document.createElement('canvas')
    canvas.width = Math.round(video.videoWidth * scale)
    canvas.height = Math.round(video.videoHeight * scale)
    canvas.getContext('2d')!.drawImage(video, 0, 0, canvas.width, canvas.height)
    const picture = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.85))
    if (!picture) throw refused('codec')
    return picture
  } finally {
    URL.revokeObjectURL(video.src)
  }
}

const happens = (video: HTMLVideoElement, event: 'loadeddata' | 'seeked') =>
  new Promise<void>((resolve, reject) => {
    video.addEventListener(event, () => resolve(), { once: true })
    video.addEventListener('error', () => reject(refused('codec')), { once: true })
    setTimeout(() => reject(refused('codec')), READING_MS)
  })
