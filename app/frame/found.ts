import type { RouteLocationRaw } from 'vue-router'
import { jointsInOrder } from '../bench/jointView'
import type { useBench } from '../bench/store'

export interface Found {
  key: string
  label: string
  what: string
  to: RouteLocationRaw
}

/** Joints, coupons by their tape label, glues of the shelf that have a text. */
export function foundFor(bench: ReturnType<typeof useBench>, text: string): Found[] {
  const wanted = text.trim().toLowerCase()
  const has = (...words: string[]) => words.some((word) => word.toLowerCase().includes(wanted))
  const joints = jointsInOrder(bench).filter((joint) => has(joint.code, joint.name))
  const coupons = wanted ? bench.all('coupon').filter((coupon) => has(coupon.label)) : []
  const glues = bench.all('adhesive').filter((adhesive) => has(adhesive.name, adhesive.family, ...adhesive.aliases))
  return [
    ...joints.map((joint) => ({
      key: joint.id,
      label: `${joint.code} ${joint.name}`,
      what: 'joint',
      to: { name: 'ask', params: { joint: joint.id } },
    })),
    ...coupons.slice(0, 12).map((coupon) => ({
      key: coupon.id,
      label: coupon.label,
      what: 'coupon',
      to: { name: 'break', params: { joint: bench.get('round', coupon.round)!.joint }, query: { coupon: coupon.id } },
    })),
    ...glues.slice(0, 12).map((glue) => ({
      key: glue.id,
      label: glue.name,
      what: 'on the shelf',
      to: { name: 'shelf', hash: `#${glue.id}` },
    })),
  ]
}
