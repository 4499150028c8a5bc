import type { Tables } from '../../core/records/tables'

/** Pages of one joint. */
export const stations = ['ask', 'shortlist', 'plan', 'glue', 'break', 'choose', 'card', 'print']

/** Pages that read a table's rows. */
export const reading: Readonly<Record<string, string[]>> = {
  bench: ['start', 'glue', 'break', 'choose', 'shelf', 'build', 'evidence'],
  reading: ['start', 'break', 'choose', 'card', 'evidence'],
  cureCheck: ['glue', 'shelf'],
  coupon: ['start', 'plan', 'glue', 'break', 'print', 'choose'],
  procedure: ['start', 'plan', 'glue', 'break', 'card', 'choose'],
  round: ['start', 'plan', 'glue', 'break', 'choose', 'print'],
  joint: ['start', 'ask', 'shortlist', 'plan', 'glue', 'choose', 'build'],
  decision: ['start', 'choose', 'card', 'evidence', 'build'],
  stock: ['start', 'shelf', 'shortlist', 'build'],
  adhesive: ['shelf', 'shortlist', 'plan', 'choose', 'card', 'build'],
  houseRule: ['start', 'shelf', 'shortlist', 'evidence'],
  material: ['shelf', 'ask', 'plan'],
  offcut: ['print', 'plan'],
  build: ['start', 'build', 'evidence'],
  scrap: ['shortlist', 'evidence'],
  maker: ['evidence', 'start'],
  said: ['evidence', 'start'],
}

export const pathOf = (page: string, joint: string): string =>
  page === 'start' ? '/' : stations.includes(page) ? `/joint/${encodeURIComponent(joint)}/${page}` : `/${page}`

/** The joint on which something was changed, where its row tells it and it is still there. */
export function worksOn(
  whole: Tables,
  { table, row }: { table: string | null; row: number | null },
  joints: readonly string[],
): string | null {
  type Row = { id?: string; joint?: string; round?: string; coupon?: string }
  const found = ((whole as unknown as Record<string, Row[]>)[table ?? ''] ?? [])[row ?? -1]
  const coupon = whole.coupon.find(({ id }) => id === found?.coupon)
  const round = whole.round.find(({ id }) => id === (found?.round ?? coupon?.round))
  return joints.find((id) => id === found?.joint || id === round?.joint || id === found?.id) ?? null
}
