import { pickFile } from '../../ui/pickFile'

const longestSide = 1600
const quality = 0.8

/** Asks the platform for a picture, from its camera where it has one; null when none was taken. */
export async function choosePicture(): Promise<Blob | null> {
  const file = await pickFile({ accept: 'image/*', purpose: 'photo', fromCamera: true })
  return file && shrink(file)
}

/** A picture no larger than it needs to be, as JPEG; as it was when it cannot be drawn. */
async function shrink(file: Blob): Promise<Blob> {
  const bitmap = await createImageBitmap(file).catch(() => null)
  if (!bitmap) return file
  const scale = Math.min(1, longestSide / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(bitmap.width * scale)
  canvas.height = Math.round(bitmap.height * scale)
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  const small = await new Promise<Blob | null>((resolve) => {
    canvas.toBlob(resolve, 'image/jpeg', quality)
  })
  return small ?? file
}
