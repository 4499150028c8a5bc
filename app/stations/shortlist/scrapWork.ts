import { insert, update } from '../../../core/records/entry'
import type { Joint } from '../../../core/records/joint'
import type { Scrap, Sighting } from '../../../core/records/scrap'
import type { Candidate } from '../../../core/screening/shortlist'
import { stampNow } from '../../bench/clock'
import { newId } from '../../bench/ids'
import type { useBench } from '../../bench/store'

type Store = ReturnType<typeof useBench>

/** A drop is laid on scrap now, on faces like the joint's. */
export function layDrop(bench: Store, joint: Joint, { family, product }: Candidate, rule: string) {
  const { a, b } = joint.brief
  const scrap: Scrap = {
    id: newId(),
    joint: joint.id,
    family: product?.family ?? family.id,
    adhesive: product?.id ?? null,
    rule,
    sides: [a, b].map(({ material, state }) => ({ material, state })),
    startedAt: stampNow(),
    looks: [],
  }
  return bench.write(
    `${joint.code}: a drop of ${product?.name ?? family.name} on scrap`,
    [insert('scrap', scrap)],
    true,
  )
}

/** What was seen when a scrap was looked at. */
export const lookAtScrap = (bench: Store, scrap: Scrap, saw: Sighting) =>
  bench.write(
    `A look at the scrap: ${saw === 'nothing' ? 'nothing to see' : saw === 'mark' ? 'a mark' : 'spoilt'}`,
    [update('scrap', scrap, { ...scrap, looks: [...scrap.looks, { at: stampNow(), saw }] })],
    true,
  )
