import {
  computed,
  inject,
  nextTick,
  provide,
  ref,
  shallowReactive,
  type ComputedRef,
  type InjectionKey,
  type Ref,
} from 'vue'
import { CodedError } from '../../core/errors'
import { sayError } from '../../core/messages'

/** What is wrong in the form around a field, in a sentence, and of which field. */
export interface Fault {
  /** empty: nothing */
  problem: Ref<string>
  /** the field's name or label, as the error has it; null: of none alone */
  field: Ref<string | null>
  /** whether a field of the form shows it: then the form itself does not */
  claimed: Ref<boolean>
  /** @returns takes the field out again */
  claim: (field: Claim) => () => void
}
/** A field of the form: what errors call it, and how one comes to it. */
interface Claim {
  names: Ref<readonly string[]>
  focus: () => void
}
const key: InjectionKey<Fault> = Symbol('fault')

/** What is wrong in the form that a field belongs to; null outside of one. */
export const faultAround = (): Fault | null => inject(key, null)

/**
 * What a form does with what was typed. What that throws is said in a sentence (`problem`), and the field that it is
 * about is marked (FieldPart), says it and gets the focus, so that the next key mends it. Nothing typed is lost.
 * Once in a component: the fields in it and below it belong to it.
 */
export function useAttempt() {
  const problem = ref('')
  const field = ref<string | null>(null)
  const fields = shallowReactive(new Set<Claim>())
  const atFault = computed(() => [...fields].find(({ names }) => field.value && names.value.includes(field.value)))
  const claimed = computed(() => atFault.value !== undefined)
  function claim(one: Claim) {
    fields.add(one)
    return () => void fields.delete(one)
  }
  provide(key, { problem, field, claimed, claim })

  /** Says nothing any more. */
  function clear() {
    problem.value = ''
    field.value = null
  }
  /** Says a sentence, and of which field it is. */
  function refuse(words: string, of: string | null = null) {
    problem.value = words
    field.value = of
    if (of) void nextTick(() => atFault.value?.focus())
  }
  /** Says what was thrown. */
  function fail(error: unknown) {
    const of = error instanceof CodedError ? error.path || String(error.facts['field'] ?? '') : ''
    refuse(sayError(error), of || null)
  }
  /**
   * @param act parses and keeps; what it throws was expected
   * @returns what it gave; undefined where it threw
   */
  async function attempt<T>(act: () => T | Promise<T>): Promise<T | undefined> {
    clear()
    try {
      return await act()
    } catch (error) {
      fail(error)
      return undefined
    }
  }
  return { problem, attempt, clear, fail, refuse }
}

/**
 * What stands in a field that counts at once, while it is typed into.
 * @param read parses it; what it throws was expected
 * @returns value: null where it cannot be read; problem: the sentence that says why, for the field (FieldPart)
 */
export function useRead<T>(read: () => T): { value: ComputedRef<T | null>; problem: ComputedRef<string> } {
  const both = computed((): { value: T | null; problem: string } => {
    try {
      return { value: read(), problem: '' }
    } catch (error) {
      return { value: null, problem: sayError(error) }
    }
  })
  return { value: computed(() => both.value.value), problem: computed(() => both.value.problem) }
}
