<script setup lang="ts">
import { nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import type { ProcedureSummary } from '../../../core/statistics/analyse'
import { inDark } from '../../look/appearance'
import { baseLayout, chartConfig, colour, loadPlotly, type Data } from '../../look/chart'
import { logTicks } from '../../look/logTicks'
import { figure } from '../../look/figures'

// The procedures as intervals on one logarithmic scale, a row each, with the limit marked.
const props = defineProps<{
  rows: { key: string; letter: string; summary: ProcedureSummary | null }[]
  limit: number | null
  unit: string
  rowHeight: number
}>()
const place = ref<HTMLElement>()
let plotly: Awaited<ReturnType<typeof loadPlotly>> | null = null
let watcher: ResizeObserver | null = null

function range(): [number, number] {
  const values = props.rows.flatMap(({ summary }) =>
    summary
      ? [
          summary.weakJoint.low95,
          summary.typical.low90,
          summary.open === 'above' ? summary.typical.median : summary.typical.high90,
        ]
      : [],
  )
  if (props.limit) values.push(props.limit)
  const low = Math.min(...values)
  const high = Math.max(...values)
  return [Math.log10(low) - 0.12, Math.log10(high) + 0.12]
}

function traces(right: number): Data[] {
  return props.rows.flatMap(({ summary }, i): Data[] => {
    if (!summary) return []
    const y = -i
    const { typical, open, weakJoint } = summary
    const from = open === 'below' ? 1e-12 : open === 'above' ? typical.low90 : typical.low90
    const to = open === 'above' ? right : typical.high90
    const ink = colour('ink')
    const line: Data = { x: [from, to], y: [y, y], mode: 'lines', line: { color: ink, width: 2 } }
    const ends: Data = {
      x: [...(open === 'below' ? [] : [from]), ...(open === 'above' ? [] : [to])],
      y: [y, y],
      mode: 'markers',
      marker: { symbol: 'line-ns', size: 12, color: ink, line: { color: ink, width: 2 } },
    }
    const weak: Data = {
      x: [weakJoint.low95],
      y: [y - 0.24],
      mode: 'markers',
      marker: { symbol: 'triangle-up', size: 11, color: colour('go') },
    }
    const label =
      open === 'above'
        ? `≥ ${figure(typical.low90)}`
        : open === 'below'
          ? `≤ ${figure(typical.high90)}`
          : figure(typical.median)
    const middle: Data = {
      x: [open === 'above' ? from : open === 'below' ? to : typical.median],
      y: [y],
      mode: 'text+markers' as never,
      text: [label],
      textposition: open === 'below' ? 'top left' : 'top center',
      marker: { symbol: 'circle', size: open ? 0.1 : 11, color: inDark.value ? colour('holds') : colour('mat') },
    }
    return open === 'below' ? [line, ends, middle] : [line, ends, weak, middle]
  })
}

/** Where the rows' names stand elsewhere (a phone), each interval bears its procedure's letter. */
const letters = () =>
  window.matchMedia('(max-width: 760px)').matches
    ? props.rows.map(({ letter }, i) => ({
        xref: 'paper' as const,
        x: 0,
        xanchor: 'left' as const,
        yref: 'y' as const,
        y: -i,
        text: `<b>${letter}</b>`,
        showarrow: false,
      }))
    : []

async function draw() {
  plotly ??= await loadPlotly()
  await nextTick()
  if (!place.value) return
  const [from, to] = range()
  const ticks = logTicks(from, to)
  const count = props.rows.length
  const open = props.rows.flatMap(({ summary }, i) => (summary?.open === 'above' ? [i] : []))
  await plotly.react(
    place.value,
    traces(10 ** to),
    {
      ...baseLayout(),
      height: count * props.rowHeight + 34,
      xaxis: {
        type: 'log',
        range: [from, to],
        fixedrange: true,
        gridcolor: colour('line'),
        tickcolor: colour('tick'),
        ticks: 'outside',
        tickmode: 'array',
        tickvals: ticks.values,
        ticktext: ticks.words,
        tickfont: { size: 13 },
        minor: undefined,
        title: undefined,
        zeroline: false,
      },
      yaxis: { range: [-(count - 1) - 0.5, 0.5], fixedrange: true, visible: false },
      shapes: [
        ...(props.limit
          ? [
              {
                type: 'line' as const,
                x0: props.limit,
                x1: props.limit,
                y0: 0,
                y1: 1,
                yref: 'paper' as const,
                line: { color: colour('fails'), width: 1.5, dash: 'dash' as const },
              },
            ]
          : []),
      ],
      annotations: [
        ...letters(),
        ...open.map((i) => ({
          x: to,
          y: -i,
          ax: -14,
          ay: 0,
          xref: 'x' as const,
          yref: 'y' as const,
          showarrow: true,
          arrowhead: 2,
          arrowwidth: 2,
          arrowcolor: colour('ink'),
          text: '',
        })),
      ],
    },
    chartConfig,
  )
}

onMounted(() => {
  void draw()
  watcher = new ResizeObserver(() => place.value && plotly?.Plots.resize(place.value))
  watcher.observe(place.value!)
})
onBeforeUnmount(() => {
  watcher?.disconnect()
  if (place.value) plotly?.purge(place.value)
})
watch(() => [props.rows, props.limit, inDark.value], draw, { deep: true })
</script>

<template>
  <div
    ref="place"
    class="chart"
    role="img"
    :aria-label="`Intervals of typical strength in ${unit}; the same figures stand in the rows`"
    :style="{ height: `${rows.length * rowHeight + 34}px` }"
  />
</template>

<style scoped>
.chart {
  min-width: 0;
  width: 100%;
}
</style>
