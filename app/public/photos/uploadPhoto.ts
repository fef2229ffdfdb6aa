import { messageCode } from '../../../core/messages/code'

/** A photo that the shop has, though its form is not sent yet. */
export interface UploadedPhoto {
  key: string
  /** The file of the small one. */
  small: string
}

/** A problem in words for whoever added the photo. */
export class PhotoProblem extends Error {
  constructor(
    message: string,
    /** Whether trying again may help. */
    readonly passing: boolean,
  ) {
    super(message)
  }
}

/** Answers that stay the same for the same file. */
const lasting = new Set([404, 413, 422])

/** Makes a photo smaller in a worker; a photo that the browser can't open goes as it is, and the server says. */
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
 * Sends a photo ahead of its form.
 * @param progress told how much is on its way, from 0 to 1
 * @throws PhotoProblem when it can't be taken
 */
export function uploadPhoto(
  address: string,
  photo: Blob,
  progress: (part: number) => void,
): Promise<UploadedPhoto> {
  return new Promise((resolve, reject) => {
    // The other way to send tells nothing of its progress.
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
