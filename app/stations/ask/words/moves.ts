import type { InjectionKey, Ref } from 'vue'

/** Whether the open word that is drawn here would move most glues: it is drawn as worth answering first. */
export const wordMoves: InjectionKey<Ref<boolean>> = Symbol('word moves most')

/** The word’s key in the brief, such as “heatC” and “a.state”. */
export const wordKey: InjectionKey<string> = Symbol('key of the word')

/** Whether the word that is drawn here is a proposal that nobody has confirmed. */
export const wordProposed: InjectionKey<Ref<boolean>> = Symbol('word proposed')
