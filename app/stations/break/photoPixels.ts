import type { Picture } from '../../../core/photo/picture'

/** The longer side of a photo on its way in, px: more tells nothing more of a face of some centimetres. */
const LONGEST_PX = 1600

/** A photo as it is kept and as it is read: scaled down once, for both. */
export interface Taken {
  picture: Picture
  /** to be kept */
  blob: Blob
}

/**
 * The pixels of a picture file, scaled down.
 * @throws Error with a sentence where the browser cannot read it
 */
export async function pixelsOf(file: Blob): Promise<Taken> {
  const bitmap = await createImageBitmap(file).catch((cause: unknown) => {
    throw new Error('This is no picture that the browser can read: a photo as JPEG or PNG was expected.', { cause })
  })
  const by = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height))
  const [width, height] = [Math.max(1, Math.round(bitmap.width * by)), Math.max(1, Math.round(bitmap.height * by))]
  const canvas = new OffscreenCanvas(width, height)
  const drawing = canvas.getContext('2d', { willReadFrequently: true })!
  drawing.drawImage(bitmap, 0, 0, width, height)
  bitmap.close()
  const { data } = drawing.getImageData(0, 0, width, height)
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 })
  return { picture: { width, height, data, bytes: 4 }, blob }
}

/** Shows a picture on a canvas, and over it the groups of its pixels in colours of their own. */
export function paint(
  canvas: HTMLCanvasElement,
  picture: Picture,
  over: { labels: Uint8Array; colours: readonly (readonly [number, number, number])[] } | null,
): void {
  const { width, height, data, bytes } = picture
  canvas.width = width
  canvas.height = height
  const drawing = canvas.getContext('2d')
  if (!drawing) return
  const image = drawing.createImageData(width, height)
  for (let i = 0; i < width * height; i++) {
    const colour = over?.colours[over.labels[i]!]
    for (let c = 0; c < 3; c++) {
      const own = data[i * bytes + c]!
      image.data[4 * i + c] = colour ? 0.45 * own + 0.55 * colour[c]! : own
    }
    image.data[4 * i + 3] = 255
  }
  drawing.putImageData(image, 0, 0)
}
