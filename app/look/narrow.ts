import { onScopeDispose, readonly, ref, type Ref } from 'vue'

/** Whether the screen is as narrow as a phone's (the width at which the layouts change). */
export function useNarrow(): Readonly<Ref<boolean>> {
  const query = window.matchMedia('(max-width: 700px)')
  const narrow = ref(query.matches)
  const follow = () => (narrow.value = query.matches)
  query.addEventListener('change', follow)
  onScopeDispose(() => query.removeEventListener('change', follow))
  return readonly(narrow)
}
