import { digitsSaid } from '../../../../core/quantities/figure'
import type { Dimension } from '../../../../core/quantities/units'
import type { Choice } from '../words/ChoiceList.vue'

/**
 * What can stand in one place of the sentence. `ask` is shown while it is open, `label` is for those who do not see the
 * sentence.
 */
interface Said {
  label: string
  ask: string
  /** in the history: “H1: shape” */
  what: string
  /** said as a question while its answer would move glues, with a way to find out */
  open?: { word: string; find: string }
}
export type WordDef = Said &
  (
    | { kind: 'one'; choices: Choice[] }
    | { kind: 'many'; choices: Choice[]; none: string }
    | { kind: 'yes'; yes: string; no: string; hint?: string }
    | {
        kind: 'number'
        dimension: Dimension | null
        unit: string
        least?: number
        most?: number
        whole?: boolean
        presets?: Choice[]
        hint?: string
        /** what stands in the record × scale = what is typed, in its dimension’s own unit */ scale?: number
        show?: (value: number) => string
      }
    | { kind: 'day' }
  )

/** The lines of the sentence. */
export type Line = 'parts' | 'load' | 'meets' | 'must' | 'glue'
/** A word of the whole joint, with its place in the sentence. */
export type LineWord = WordDef & {
  line: Line
  /** words before it, where it stands at the end of its line; left out: the line places it itself */
  lead?: string
}

export const c = (value: string, word: string, gloss?: string): Choice => ({ value, word, gloss })
export const mm = (value: number) => `${digitsSaid(value)} mm`
