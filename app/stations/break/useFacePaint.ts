import { computed, ref, type Ref } from 'vue'
import { blankFace, fill, sharesOfPainted, stroke, type FacePart } from '../../../core/readings/painted'
import type { Painted } from '../../../core/records/reading'
import type { PullForm } from './pullForm'
import { takeFace } from './whereItLetGo'

/** Cells across a face: a finger's width of a coupon is some of them. */
const COLUMNS = 40
/** A cell is drawn so large, so that the hatches of the seam drawings fit. */
export const CELL = 8
/** Height over width where the face is no rectangle that is known, and what can still be painted on. */
const USUAL_HEIGHT = 0.6
const FLATTEST = 0.3
/** cells */
export const brushes = [
  { radius: 1, word: 'fine' },
  { radius: 2.5, word: 'middle' },
  { radius: 5, word: 'broad' },
]
const arrows: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** A face that is being painted: brush, fill, undo, by finger and by keys; what is painted goes into the form. */
export function useFacePaint(form: Ref<PullForm>, size: () => { widthMm: number; heightMm: number } | null) {
  const rows = computed(() => {
    const of = size()
    // The longer side lies across, so that both faces are seen at once.
    const [short, long] = of ? [of.heightMm, of.widthMm].sort((x, y) => x - y) : [USUAL_HEIGHT, 1]
    return Math.round(COLUMNS * Math.max(FLATTEST, short! / long!))
  })

  const part = ref<FacePart>('offA')
  const radius = ref(2.5)
  const filling = ref(false)
  const before = ref<Painted[]>([])
  const face = computed<Painted>(() => form.value.painted ?? blankFace(COLUMNS, rows.value))
  const shares = computed(() => sharesOfPainted(face.value))
  /** where keys paint, in cells of the face of A */
  const cursor = ref<[number, number] | null>(null)

  function show(next: Painted) {
    const found = sharesOfPainted(next)
    if (found) takeFace(form.value, found, next)
    else form.value.painted = next
  }
  const remember = () => (before.value = [...before.value.slice(-49), face.value])
  function undo() {
    const last = before.value.at(-1)
    if (!last) return
    before.value = before.value.slice(0, -1)
    show(last)
  }
  function all() {
    remember()
    const { columns, rows: high } = face.value
    show(fill(blankFace(columns, high), part.value, 0, 0))
  }

  const sheets = { A: ref<SVGSVGElement | null>(null), B: ref<SVGSVGElement | null>(null) }
  let from: [number, number] | null = null
  /** A place on a face in cells of the face of A: the other one lies mirrored. */
  function cellAt(side: 'A' | 'B', event: PointerEvent): [number, number] {
    const box = sheets[side].value!.getBoundingClientRect()
    const x = ((event.clientX - box.left) / box.width) * face.value.columns
    const y = ((event.clientY - box.top) / box.height) * face.value.rows
    return [side === 'A' ? x : face.value.columns - x, y]
  }
  function down(side: 'A' | 'B', event: PointerEvent) {
    if (event.button !== 0) return
    remember()
    const at = cellAt(side, event)
    if (filling.value) return show(fill(face.value, part.value, Math.floor(at[0]), Math.floor(at[1])))
    sheets[side].value?.setPointerCapture?.(event.pointerId)
    from = at
    show(stroke(face.value, part.value, at, at, radius.value))
  }
  function move(side: 'A' | 'B', event: PointerEvent) {
    if (!from) return
    const at = cellAt(side, event)
    show(stroke(face.value, part.value, from, at, radius.value))
    from = at
  }
  const up = () => void (from = null)

  function key(side: 'A' | 'B', event: KeyboardEvent) {
    const { columns, rows: high } = face.value
    const at = cursor.value ?? [columns / 2, high / 2]
    const by = arrows[event.key]
    if (by) {
      const step = side === 'A' ? by[0] : -by[0]
      cursor.value = [
        Math.min(columns - 0.5, Math.max(0.5, at[0] + step)),
        Math.min(high - 0.5, Math.max(0.5, at[1] + by[1])),
      ]
    } else if (event.key === ' ' || event.key === 'Enter') {
      remember()
      const cell = [Math.floor(at[0]), Math.floor(at[1])] as const
      show(filling.value ? fill(face.value, part.value, ...cell) : stroke(face.value, part.value, at, at, radius.value))
      cursor.value = at
    } else return
    event.preventDefault()
  }

  return { part, radius, filling, before, face, shares, cursor, sheets, undo, all, down, move, up, key }
}
