import { cloneVNode, Comment, computed, defineComponent, h, onScopeDispose, useId, type VNode } from 'vue'
import { faultAround } from './attempt'

/**
 * A field with its label, its unit and its hint; what is typed into stands in the slot. Where the form's last attempt
 * found fault with it, it is marked, and the sentence that says why stands below it.
 */
export default defineComponent({
  name: 'FieldPart',
  props: {
    label: { type: String, required: true },
    /** as errors call it, where that is not the label */
    name: { type: String, default: '' },
    /** what is taken when no unit is typed */
    unit: { type: String, default: '' },
    hint: { type: String, default: '' },
    /** where its place says what it is: the label is read out and not shown */
    unseen: { type: Boolean, default: false },
    /** what is wrong with it while it is typed into, where it counts at once (useRead) */
    problem: { type: String, default: '' },
  },
  setup(props, { slots }) {
    const id = useId()
    const fault = faultAround()
    const names = computed(() => [props.name, props.label].filter(Boolean))
    let at = id
    /** What it is folded away in opens. */
    function focus() {
      const control = document.getElementById(at)
      const folded = control?.closest('details')
      if (folded) folded.open = true
      control?.focus()
    }
    if (fault) onScopeDispose(fault.claim({ names, focus }))
    const faulty = () => names.value.includes(fault?.field.value ?? '')
    return () => {
      const sentence = props.problem || (faulty() ? fault!.problem.value : '')
      const described = [sentence && `${id}-problem`, props.hint && `${id}-hint`].filter(Boolean).join(' ')
      const marks = {
        ...(described && { 'aria-describedby': described }),
        ...(sentence && { 'aria-invalid': 'true' as const }),
      }
      const within: VNode[] = (slots['default']?.() ?? []).filter(({ type }) => type !== Comment)
      const own: unknown = within[0]?.props?.['id']
      at = typeof own === 'string' ? own : id
      return h('div', { class: 'field' }, [
        h(
          'label',
          { for: at, class: { 'visually-hidden': props.unseen } },
          props.unit ? `${props.label}, ${props.unit}` : props.label,
        ),
        ...within.map((one, n) => (n ? one : cloneVNode(one, { id: at, ...marks }))),
        props.hint ? h('small', { id: `${id}-hint`, class: 'mute' }, props.hint) : null,
        sentence ? h('p', { id: `${id}-problem`, class: 'problem', role: 'alert' }, sentence) : null,
      ])
    }
  },
})
