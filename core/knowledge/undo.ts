import rows from './undo.json'
import type { UndoWay } from './undoWaySchema'

export type { UndoWay } from './undoWaySchema'

const ways = rows as unknown as Readonly<Record<string, readonly UndoWay[]>>

/** The ways to undo a family's joint, the mildest first; none for a family that is not in the tables. */
export const undoOf = (family: string): readonly UndoWay[] => ways[family] ?? []
