const SMALL_PX = 256

/** Shrinks a picture to a data URL for a form; null if it can't be read. */
export async function smallPicture(file: File, longest = SMALL_PX): Promise<string | null> {
  const bitmap = await createImageBitmap(file).catch(() => null)
  if (!bitmap) return null
  const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(bitmap.width * scale))
  canvas.height = Math.max(1, Math.round(bitmap.height * scale))
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  // Large pictures become JPEG; small ones keep their transparency.
  return longest > SMALL_PX ? canvas.toDataURL('image/jpeg', 0.85) : canvas.toDataURL('image/png')
}
