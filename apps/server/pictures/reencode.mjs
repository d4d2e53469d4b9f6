// A process of its own that decodes pictures from outside and writes them anew: what a hostile one does to its decoder
// ends here. Takes { number, image }, answers { number, image, takenAt } or { number } when it is no picture.
import exifReader from 'exif-reader'
import sharp from 'sharp'

const mostPixels = 40_000_000
const longestSide = 1600
const quality = 82
const mostSeconds = 8

sharp.cache(false)
sharp.concurrency(1)

/** When it was taken, by the camera's own clock; nothing else of what a camera writes into a picture is kept. */
function takenAtOf(exif) {
  try {
    const { Photo } = exifReader(exif)
    return Photo?.DateTimeOriginal?.toISOString() ?? null
  } catch {
    return null
  }
}

async function reencode(image) {
  const picture = sharp(image, { limitInputPixels: mostPixels, failOn: 'error', sequentialRead: true })
  const { exif } = await picture.metadata()
  const written = await picture
    .timeout({ seconds: mostSeconds })
    .rotate()
    .resize({ width: longestSide, height: longestSide, fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality })
    .toBuffer()
  return { image: written, takenAt: exif ? takenAtOf(exif) : null }
}

process.on('message', ({ number, image }) => {
  reencode(image).then(
    (answer) => process.send?.({ number, ...answer }),
    () => process.send?.({ number }),
  )
})
process.on('disconnect', () => process.exit(0))
