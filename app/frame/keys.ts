import { onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { stations } from '../../core/planning/progress'
import { jointsInOrder } from '../bench/jointView'
import { useBench } from '../bench/store'
import { useFinder } from './finder'

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))

/** The app's keys (interface.md, "Words"). Keys of one station (Space, L) belong to that station. */
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

  function onKey(event: KeyboardEvent) {
    const key = event.key
    if ((event.ctrlKey || event.metaKey) && key.toLowerCase() === 'z' && !typing(event.target)) {
      event.preventDefault()
      return void (event.shiftKey ? bench.redo() : bench.undo())
    }
    if (
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      typing(event.target) ||
      document.querySelector('.v-overlay--active')
    )
      return
    const number = Number(key)
    if (number >= 1 && number <= 6 && route.params['joint'])
      return void router.push({ name: stations[number - 1]!, params: route.params })
    if (key === '[') moveJoint(-1)
    else if (key === ']') moveJoint(1)
    else if (key === '?') help.value = true
    else if (key === '/') {
      event.preventDefault()
      finder.open = true
    } else if (key.toLowerCase() === 'w') document.querySelector<HTMLElement>('#why')?.focus()
  }

  onMounted(() => window.addEventListener('keydown', onKey))
  onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
  return { help }
}
