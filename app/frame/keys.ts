import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { stations } from '../../core/planning/progress'
import { jointsInOrder } from '../bench/jointView'
import { useBench } from '../bench/store'
import { useKey } from '../look/keys'
import { useFinder } from './finder'

/** The app's keys that work on every page (interface.md, "Words"); those of one station belong to that station. */
export function useKeys() {
  const bench = useBench()
  const route = useRoute()
  const router = useRouter()
  const finder = useFinder()
  const help = ref(false)

  function moveJoint(by: number) {
    const joints = jointsInOrder(bench)
    const at = joints.findIndex((joint) => joint.id === route.params['joint'])
    const next = joints[(at + by + joints.length) % Math.max(1, joints.length)]
    if (next) void router.push({ name: at < 0 ? 'ask' : String(route.name), params: { joint: next.id } })
  }

  useKey('undo', () => void bench.undo())
  useKey('redo', () => void bench.redo())
  useKey('station', ({ key }) => {
    if (route.params['joint']) void router.push({ name: stations[Number(key) - 1]!, params: route.params })
  })
  useKey('joint', ({ key }) => moveJoint(key === '[' ? -1 : 1))
  useKey('help', () => (help.value = true))
  useKey('find', () => (finder.open = true))
  useKey('why', () => document.querySelector<HTMLElement>('#why')?.focus())
  return { help }
}
