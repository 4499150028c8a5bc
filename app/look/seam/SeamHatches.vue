<!-- The hatches of the material groups, once a page; every seam drawing refers to them by id. -->
<template>
  <svg width="0" height="0" aria-hidden="true" focusable="false" style="position: absolute">
    <defs>
      <pattern id="hatch-foam" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--hatch-foam)" />
        <circle cx="1.8" cy="1.8" r=".9" fill="var(--hatch-foam-ink)" />
        <circle cx="5.2" cy="4.9" r=".9" fill="var(--hatch-foam-ink)" />
      </pattern>
      <pattern id="hatch-textile" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="6" height="6" fill="var(--hatch-textile)" />
        <path d="M0 1.5H3.6M3 4.5H6.6M1.5 3V6M4.5 0V3" stroke="var(--hatch-textile-ink)" />
      </pattern>
      <pattern id="hatch-paper" width="6" height="3" patternUnits="userSpaceOnUse">
        <rect width="6" height="3" fill="var(--hatch-paper)" />
        <path d="M0 1.5H6" stroke="var(--hatch-paper-ink)" stroke-width=".7" />
      </pattern>
      <pattern id="hatch-print" width="8" height="5" patternUnits="userSpaceOnUse">
        <rect width="8" height="5" fill="var(--hatch-print)" />
        <path d="M0 4.2H8" stroke="var(--hatch-print-ink)" stroke-width="1.5" />
      </pattern>
      <pattern id="hatch-sheet" width="40" height="40" patternUnits="userSpaceOnUse">
        <rect width="40" height="40" fill="var(--hatch-sheet)" />
      </pattern>
      <pattern id="hatch-thermoform" width="10" height="10" patternUnits="userSpaceOnUse">
        <rect width="10" height="10" fill="var(--hatch-thermo)" />
        <path d="M-2 10L10 -2M3 15L15 3" stroke="var(--hatch-thermo-ink)" stroke-width=".8" />
      </pattern>
      <pattern id="hatch-wood" width="26" height="8" patternUnits="userSpaceOnUse">
        <rect width="26" height="8" fill="var(--hatch-wood)" />
        <path
          d="M0 2.2c6-1.8 9 1.8 13 0s8-1.4 13 0M0 6.2c5 1.2 9-1.2 14 0s7 1 12 0"
          stroke="var(--hatch-wood-ink)"
          fill="none"
          stroke-width=".8"
        />
      </pattern>
      <pattern id="hatch-leather" width="9" height="8" patternUnits="userSpaceOnUse">
        <rect width="9" height="8" fill="var(--hatch-leather)" />
        <path d="M1 2q1.5-1.6 3 0M5.5 6q1.5-1.6 3 0" stroke="var(--hatch-leather-ink)" fill="none" stroke-width=".9" />
      </pattern>
      <pattern id="hatch-hard" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
        <rect width="5" height="5" fill="var(--hatch-hard)" />
        <path d="M0 2.5H5" stroke="var(--hatch-hard-ink)" stroke-width=".9" />
      </pattern>
      <pattern id="hatch-clear" width="12" height="12" patternUnits="userSpaceOnUse">
        <rect width="12" height="12" fill="var(--hatch-clear)" />
        <path d="M0 12L12 0" stroke="var(--hatch-clear-ink)" stroke-width=".7" />
      </pattern>
      <pattern id="hatch-open" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" fill="var(--bg)" />
      </pattern>
      <!-- what is seen on a broken face, at the scale of its cells -->
      <pattern id="face-rough" width="2" height="2" patternUnits="userSpaceOnUse" patternTransform="scale(5)">
        <rect width="2" height="2" fill="var(--card)" />
        <rect width="2" height="2" fill="var(--glue)" opacity=".45" />
        <circle cx=".6" cy=".6" r=".45" fill="var(--glue)" />
        <circle cx="1.6" cy="1.5" r=".35" fill="var(--glue)" />
      </pattern>
      <pattern id="face-crater" width="2" height="2" patternUnits="userSpaceOnUse" patternTransform="scale(5)">
        <rect width="2" height="2" fill="var(--card)" />
        <path d="M-.5 .5L.5 -.5M0 2L2 0M1.5 2.5L2.5 1.5" stroke="var(--ink)" stroke-width=".5" />
        <path d="M.5 0L2 1.5M0 1.5L.5 2" stroke="var(--ink)" stroke-width=".3" />
      </pattern>
      <pattern id="face-void" width="2" height="2" patternUnits="userSpaceOnUse" patternTransform="scale(5)">
        <rect width="2" height="2" fill="var(--bg)" />
        <circle cx="1" cy="1" r=".5" fill="none" stroke="var(--mute)" stroke-width=".2" />
      </pattern>
      <pattern id="face-wet" width="3" height="1.5" patternUnits="userSpaceOnUse" patternTransform="scale(5)">
        <rect width="3" height="1.5" fill="var(--card)" />
        <path d="M0 .9q.75-.8 1.5 0t1.5 0" stroke="var(--go)" stroke-width=".35" fill="none" />
      </pattern>
    </defs>
  </svg>
</template>
