import type { Layout } from 'plotly.js'

/** The colours of the theme that is shown, read from the page. */
export function themeColours() {
  const style = getComputedStyle(document.documentElement)
  const read = (name: string) => style.getPropertyValue(name).trim()
  return {
    ink: read('--ink'),
    soft: read('--soft'),
    line: read('--line'),
    water: read('--water-ink'),
    grass: read('--grass-ink'),
    oxide: read('--oxide'),
    paper: read('--paper'),
    supplyBand: read('--water'),
    wasteBand: read('--grass'),
    faint: read('--faint'),
  }
}

const BODY = 'Atkinson Hyperlegible Next Variable, sans-serif'

/** Charts wear the clothes of the screens: no toolbar, few lines, direct labels in place of a legend. */
export function chartLayout(colours: ReturnType<typeof themeColours>): Partial<Layout> {
  const axis = {
    fixedrange: true,
    zeroline: false,
    linecolor: colours.ink,
    tickcolor: colours.ink,
    ticks: 'outside',
  } as const
  return {
    paper_bgcolor: 'rgba(0,0,0,0)',
    plot_bgcolor: 'rgba(0,0,0,0)',
    font: { family: BODY, size: 15, color: colours.ink },
    showlegend: false,
    hovermode: false,
    dragmode: false,
    margin: { t: 12, r: 84, b: 40, l: 52 },
    xaxis: { ...axis, showgrid: false },
    yaxis: { ...axis, gridcolor: colours.line, gridwidth: 1 },
  }
}
