import { wordsOfLoad } from './briefWords/loadWords'
import { partsWords } from './briefWords/partsWords'
import { serviceWords } from './briefWords/serviceWords'
import { sideWords } from './briefWords/sideWords'
import { workWords } from './briefWords/workWords'
import type { Line, LineWord, WordDef } from './briefWords/wordDef'
import type { BriefWord } from '../../../core/records/briefWords'

/** Words of the whole joint, by their field in the brief. */
export const words: Record<BriefWord, LineWord> = { ...workWords, ...partsWords, ...wordsOfLoad, ...serviceWords }
export type BriefWordKey = BriefWord

/** Words of a line of the sentence, in their order. */
export const wordsOfLine = (line: Line): BriefWordKey[] =>
  (Object.keys(words) as BriefWordKey[]).filter((key) => words[key].line === line)

export { sideWords, traitsOf, type SideWordKey } from './briefWords/sideWords'
export type { WordDef } from './briefWords/wordDef'

/**
 * An open word as a question, with a way to find out.
 * @param key of the brief, or of a side such as “a.state”
 */
export function openQuestions(key: string): { word: string; find: string } {
  const [which, sideKey] = key.split('.') as [string, string | undefined]
  const table: Record<string, WordDef> = sideKey ? sideWords(which === 'a' ? 'A' : 'B', null) : words
  const said = table[sideKey ?? key]?.open ?? { word: sideKey ?? key, find: '' }
  return sideKey ? { ...said, word: `${said.word} of side ${which.toUpperCase()}` } : said
}
