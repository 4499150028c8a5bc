import { computed, nextTick, onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue'
import { sayError } from '../../../core/messages'
import { byGrey } from '../../../core/photo/grey'
import { bendAngle, edgeNear, mmPerPx, thicknessMm } from '../../../core/photo/measure'
import type { Picture, Point } from '../../../core/photo/picture'
import { parseQuantity } from '../../../core/quantities/parse'
import { benchWorker } from '../../workers/client'
import type { PhotoResult } from '../../workers/protocol'
import { paint, pixelsOf } from './photoPixels'
import { sharesOf, type ColourPart } from './photoShares'
import type { PullForm } from './pullForm'
import { takeFace } from './whereItLetGo'

/** Points of an outline that is drawn in one go. */
const MOST_LASSO = 1000

export type PhotoTask = 'shares' | 'bend' | 'line' | 'grey'
export const tasks: Record<PhotoTask, { word: string; asks: string; points: number }> = {
  shares: {
    word: 'Where it let go',
    asks: 'Tap the four corners of the glued face, or draw round it in one go.',
    points: 12,
  },
  bend: { word: 'How far it is bent', asks: 'Tap one leg, the bend, and the other leg.', points: 3 },
  line: {
    word: 'How thick the line is, or the squeeze-out',
    asks: 'Tap two points of a known length, then two on one edge of the line, then two on the other.',
    points: 6,
  },
  grey: {
    word: 'Haze and yellowing, by a grey patch',
    asks: 'Tap a grey card of 18 % that lies in the photo, then the spot.',
    points: 2,
  },
}
/** Swatches of the groups over the picture: told apart by light and dark too, and each has its number. */
export const SWATCHES = [
  [216, 80, 30],
  [20, 90, 160],
  [240, 208, 60],
  [40, 140, 90],
  [150, 60, 150],
] as const
/** A photo that is being read: its points, its colours and what they are, and what was measured. */
export function usePhotoReading(
  form: Ref<PullForm>,
  face: () => { widthMm: number; heightMm: number } | null,
  /** it is to be kept */
  keep: (blob: Blob, width: number, height: number) => Promise<void>,
) {
  const task = ref<PhotoTask>('shares')
  const picture = shallowRef<Picture | null>(null)
  const points = ref<Point[]>([])
  const k = ref(3)
  const found = shallowRef<PhotoResult | null>(null)
  const named = ref<(ColourPart | null)[]>([])
  const known = ref('')
  const trouble = ref('')
  const done = ref<number | null>(null)
  let running: AbortController | null = null
  const canvas = ref<HTMLCanvasElement | null>(null)

  async function take(event: Event) {
    const file = (event.target as HTMLInputElement).files?.[0]
    if (!file) return
    trouble.value = ''
    begin()
    picture.value = null
    try {
      const taken = await pixelsOf(file)
      picture.value = taken.picture
      await keep(taken.blob, taken.picture.width, taken.picture.height)
    } catch (error) {
      trouble.value = sayError(error)
    }
  }
  function begin() {
    running?.abort()
    points.value = []
    found.value = null
    done.value = null
  }
  watch([picture, found], async () => {
    await nextTick()
    if (!canvas.value || !picture.value) return
    const over = found.value && { labels: found.value.labels, colours: SWATCHES }
    paint(canvas.value, found.value?.picture ?? picture.value, over)
  })
  watch(task, begin)

  const at = (event: MouseEvent): Point => {
    const box = canvas.value!.getBoundingClientRect()
    const by = canvas.value!.width / box.width
    return [(event.clientX - box.left) * by, (event.clientY - box.top) * by]
  }
  function tap(event: MouseEvent) {
    if (!canvas.value || found.value || lassoed || points.value.length >= tasks[task.value].points) return
    points.value = [...points.value, at(event)]
  }
  /** An outline drawn round in one go: a point wherever the finger has gone on by a hundredth of the photo. */
  let lassoed = false
  let from: Point | null = null
  function press(event: PointerEvent) {
    lassoed = false
    from = canvas.value && !found.value && task.value === 'shares' && event.button === 0 ? at(event) : null
  }
  function drag(event: PointerEvent) {
    if (!from) return
    const here = at(event)
    const last = lassoed ? points.value.at(-1)! : from
    if (Math.hypot(here[0] - last[0], here[1] - last[1]) < (lassoed ? 1 : 3) * scale.value) return
    points.value = lassoed ? [...points.value.slice(-MOST_LASSO), here] : [from, here]
    if (!lassoed) canvas.value?.setPointerCapture?.(event.pointerId)
    lassoed = true
  }
  const release = () => void (from = null)
  const scale = computed(() => Math.max(picture.value?.width ?? 1, picture.value?.height ?? 1) / 100)

  async function findColours() {
    trouble.value = ''
    running = new AbortController()
    done.value = 0
    const outline = points.value.map(([x, y]): Point => [x, y])
    try {
      const result = await benchWorker().photo(
        {
          picture: picture.value!,
          outline,
          // Four points are the corners of the face: it is put straight first.
          straighten: outline.length === 4 ? { corners: outline, face: face() } : null,
          k: k.value,
        },
        { signal: running.signal, onProgress: (share) => (done.value = share) },
      )
      found.value = result
      named.value = result.groups.map(() => null)
    } catch (error) {
      if (!running.signal.aborted) trouble.value = sayError(error)
    }
    done.value = null
  }
  const shares = computed(() => found.value && sharesOf(found.value.groups, named.value))
  function takeShares() {
    if (shares.value) takeFace(form.value, shares.value, null)
  }
  /** @throws CodedError with what was expected */
  function measured(): PullForm['measured'] {
    const p = points.value
    if (task.value === 'bend') return [{ what: 'bend', value: bendAngle([p[0]!, p[1]!, p[2]!]), unit: '°' }]
    if (task.value === 'grey') {
      const [lightness, , yellow] = byGrey(picture.value!, p[0]!, p[1]!)
      return [
        { what: 'lightness L*', value: lightness, unit: '' },
        { what: 'yellowness b*', value: yellow, unit: '' },
      ]
    }
    const mm = mmPerPx(p[0]!, p[1]!, parseQuantity(known.value, 'length', 'mm', 'known length').inside)
    const edge = (from: number) => edgeNear(picture.value!, p[from]!, p[from + 1]!)
    return [{ what: 'line thickness', value: thicknessMm(edge(2), edge(4), mm), unit: 'mm' }]
  }
  const figure = ref('')
  function measure() {
    trouble.value = figure.value = ''
    try {
      const all = measured().map((one) => ({ ...one, value: Number(one.value.toPrecision(3)) }))
      const others = form.value.measured.filter(({ what }) => !all.some((one) => one.what === what))
      form.value.measured = [...others, ...all]
      const said = all.map(({ what, value, unit }) => `${what} ${value} ${unit}`.trim())
      figure.value = `${said.join(', ')}: kept with this pull`
    } catch (error) {
      trouble.value = sayError(error)
    }
  }

  onScopeDispose(() => running?.abort())
  const stop = () => running?.abort()
  const setCanvas = (element: unknown) => void (canvas.value = element as HTMLCanvasElement | null)
  return {
    task,
    picture,
    points,
    k,
    found,
    named,
    known,
    trouble,
    done,
    setCanvas,
    scale,
    shares,
    figure,
    take,
    begin,
    tap,
    press,
    drag,
    release,
    findColours,
    takeShares,
    measure,
    stop,
  }
}
