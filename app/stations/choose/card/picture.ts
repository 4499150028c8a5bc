import { piece } from '../../../look/piece'
/** Dots of the picture for each of the page: sharp enough to be read when it is printed from a phone. */
const SHARP = 2

/**
 * What stands on the page as a picture (PNG), with the app's own letters in it.
 * @throws Error where the browser draws none
 */
export async function pictureOf(element: HTMLElement): Promise<Blob> {
  const { toBlob } = await piece(() => import('html-to-image'))
  const background = getComputedStyle(element).backgroundColor
  const blob = await toBlob(element, { pixelRatio: SHARP, backgroundColor: background, cacheBust: false })
  if (!blob) throw new Error('the browser drew nothing.')
  return blob
}
