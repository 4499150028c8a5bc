import type { Config, Data, Layout } from 'plotly.js'

export type { Data, Layout }
type Plotly = typeof import('plotly.js')

let loading: Promise<Plotly> | null = null
/** The chart package, loaded with the first chart that is shown. */
export const loadPlotly = (): Promise<Plotly> =>
  (loading ??= import('plotly.js-cartesian-dist-min').then(
    (module) => ((module as { default?: unknown }).default ?? module) as unknown as Plotly,
  ))

/** A role's colour as it stands in the theme now. */
export const colour = (role: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--${role}`).trim()

export const chartConfig: Partial<Config> = { displayModeBar: false, responsive: true, staticPlot: true }

/** What all charts have in common: the theme's type and colours, no frame, no legend of their own. */
export const baseLayout = (): Partial<Layout> => ({
  paper_bgcolor: 'transparent',
  plot_bgcolor: 'transparent',
  showlegend: false,
  font: { family: 'Bench Sans, system-ui, sans-serif', size: 14, color: colour('ink') },
  margin: { l: 0, r: 0, t: 0, b: 34 },
})
