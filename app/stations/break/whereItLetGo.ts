import { places, type Place } from '../../../core/readings/datum'
import type { FaceShares } from '../../../core/readings/painted'
import type { Painted } from '../../../core/records/reading'
import { noPlaces, type PullForm } from './pullForm'

/** A face that is wet over that share of it is no strength but “not yet”, %. */
const WET_SHARE = 50

/** Where it let go, as a photo or a painted face says. */
export function takeFace(form: PullForm, { places: at, voids, wet }: FaceShares, painted: Painted | null): void {
  Object.assign(form, { places: { ...at }, voids, painted, end: wet >= WET_SHARE ? 'wet' : 'broke' })
}

/** A tap: all of it let go there; with a share given already, another tenth goes there from the largest other place. */
export function tapPlace(form: PullForm, place: Place, by: 'all' | 10 | -10 = 'all'): void {
  form.end = form.end === 'wet' ? 'wet' : 'broke'
  form.painted = null
  if (by === 'all' || places.every((one) => form.places[one] === 0)) {
    form.places = { ...noPlaces(), [place]: 100 }
    return
  }
  const others = places.filter((one) => one !== place).sort((x, y) => form.places[y] - form.places[x])
  const partner = by > 0 ? others[0]! : (others.find((one) => form.places[one] > 0) ?? others[0]!)
  const moved = by > 0 ? Math.min(10, form.places[partner]) : -Math.min(10, form.places[place])
  form.places = { ...form.places, [place]: form.places[place] + moved, [partner]: form.places[partner] - moved }
}

/** A place gets its share, %; the others keep theirs in proportion, what is left over goes to the largest of them. */
export function setPlace(form: PullForm, place: Place, share: number): void {
  form.end = form.end === 'wet' ? 'wet' : 'broke'
  form.painted = null
  const others = places.filter((one) => one !== place).sort((x, y) => form.places[y] - form.places[x])
  const named = others.reduce((sum, one) => sum + form.places[one], 0)
  const next = { ...noPlaces(), [place]: share }
  let left = 100 - share
  for (const one of named > 0 ? others.slice(1) : []) {
    next[one] = Math.floor((form.places[one] * (100 - share)) / named)
    left -= next[one]
  }
  // Nothing else was named yet: the rest lies in the glue, or beside it.
  next[named > 0 ? others[0]! : place === 'glue' ? 'offA' : 'glue'] += left
  form.places = next
}
