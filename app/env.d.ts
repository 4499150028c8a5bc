/// <reference types="vite/client" />
declare module '*.vue' {
  import type { DefineComponent } from 'vue'
  const component: DefineComponent<object, object, unknown>
  export default component
}
declare module 'plotly.js-cartesian-dist-min' {
  const plotly: typeof import('plotly.js')
  export default plotly
}
