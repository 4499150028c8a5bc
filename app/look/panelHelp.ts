import type { InjectionKey } from 'vue'

/** What a panel that cannot be drawn offers; given by the app, since app/look knows no bench. */
export interface PanelHelp {
  saveFile: () => void
  tell: (words: string) => void
  /** notes a fault for who is asked for help */
  note: (error: unknown) => void
}
export const panelHelp: InjectionKey<PanelHelp> = Symbol('help for a panel that cannot be drawn')
