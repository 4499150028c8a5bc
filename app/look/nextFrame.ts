import type { InjectionKey } from 'vue'

/** Runs something with the next frame that is drawn; a test, which draws none, runs it at once. */
export const NEXT_FRAME: InjectionKey<(run: () => void) => void> = Symbol('next frame')
