/** What can go wrong with a pull, as makers say it, and what becomes of the reading. */
export interface FaultRow {
  word: string
  /** what becomes of its reading */
  becomes: string
  /** the piece may still be whole: it can be pulled again */
  again: boolean
}
/** In the order in which they happen most. */
export const faultRows: readonly FaultRow[] = [
  {
    word: 'grip slipped',
    becomes: 'It came out of the grip, not out of the joint: the load says nothing.',
    again: true,
  },
  {
    word: 'pulled the wrong way round',
    becomes: 'That was another test than the one planned: it is not compared with the others.',
    again: true,
  },
  {
    word: 'clamp had shifted',
    becomes: 'The glued size is not what was planned: measure it and log the pull with that size, or leave it out.',
    again: false,
  },
  {
    word: 'glued unevenly',
    becomes: 'If that can happen to the real joint too, log the pull as it was: it belongs to the scatter.',
    again: false,
  },
  {
    word: 'flaw in the material',
    becomes: 'The part failed, not the glue: the reading is kept and does not count.',
    again: false,
  },
]
/** A fault by its words; null for one in the maker's own. */
export const faultOf = (reason: string): FaultRow | null =>
  faultRows.find(({ word }) => word === reason.trim().toLowerCase()) ?? null
