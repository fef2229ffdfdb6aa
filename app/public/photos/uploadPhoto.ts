import { messageCode } from '../../../core/messages/code'

/** A stored photo of a form that is not sent yet. */
export interface UploadedPhoto {
  key: string
  /** The address of its thumbnail. */
  shown: string
}

/** A problem with its message. */
export class PhotoProblem extends Error {
  constructor(
    message: string,
    /** Whether a retry can help. */
    readonly passing: boolean,
  ) {
    super(message)
  }
}

/** Answers that a retry doesn't change. */
const lasting = new Set([404, 413, 422])

/** Shrinks a photo in a worker. If the browser can't open it, it is sent as it is and the server decides. */
export async function shrink(file: File): Promise<Blob> {
  const worker = new Worker(new URL('./shrink.worker.ts', import.meta.url), { type: 'module' })
  try {
    const small = await new Promise<Blob | null>((resolve) => {
      worker.onmessage = ({ data }: MessageEvent<Blob | null>) => resolve(data)
      worker.onerror = () => resolve(null)
      worker.postMessage(file)
    })
    return small && small.size < file.size ? small : file
  } finally {
    worker.terminate()
  }
}

/**
 * Uploads a photo.
 * @param progress called with the sent share, 0 to 1
 * @throws PhotoProblem if it is refused
 */
export function uploadPhoto(
  address: string,
  photo: Blob,
  progress: (part: number) => void,
): Promise<UploadedPhoto> {
  return new Promise((resolve, reject) => {
    // `fetch` reports no progress.
    const request = new XMLHttpRequest()
    request.open('POST', address)
    request.responseType = 'json'
    request.upload.onprogress = ({ loaded, total }) => progress(loaded / total)
    request.onload = () => {
      const answer = request.response as (UploadedPhoto & { error?: string }) | null
      if (request.status === 201 && answer) resolve(answer)
      else
        reject(
          new PhotoProblem(answer?.error ?? messageCode('photo.error.offline'), !lasting.has(request.status)),
        )
    }
    request.onerror = () => reject(new PhotoProblem(messageCode('photo.error.offline'), true))
    request.setRequestHeader('Accept', 'application/json')
    request.setRequestHeader('Content-Type', 'application/octet-stream')
    request.send(photo)
  })
}
