/** The largest displayed size, so that a phone's photo uploads in a second. */
const LONGEST_PX = 2000

/** Shrinks a photo and turns it upright. Answers null if this browser can't open it. */
self.onmessage = async ({ data: file }: MessageEvent<Blob>) => {
  self.postMessage(await shrunk(file).catch(() => null))
}

async function shrunk(file: Blob): Promise<Blob | null> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
  const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height))
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  )
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.86 })
}
