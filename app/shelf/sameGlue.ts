import type { Adhesive } from '../../core/records/shelf'

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
const namesOf = (name: string, others: readonly string[]) => new Set([name, ...others].map(plain).filter(Boolean))

/**
 * Products of the shelf that go by a name the typed one goes by too: one glue under two names is found before it stands
 * there twice.
 * @param typed its name, and its other names between commas
 */
export function sameGlues(
  typed: { name: string; aliases: string },
  shelf: readonly Adhesive[],
  except: string | null,
): Adhesive[] {
  const names = namesOf(typed.name, typed.aliases.split(','))
  return shelf.filter(
    ({ id, name, aliases }) => id !== except && [...namesOf(name, aliases)].some((one) => names.has(one)),
  )
}
