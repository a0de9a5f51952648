/**
 * Small drawings of words whose thing is easier seen than said, 120 by 72: `thin` is what stands around it, `thick` the thing
 * itself, `full` what of it is filled, `flow` water or air with its direction.
 */
export interface Drawing {
  thin: string
  thick?: string
  full?: string
  flow?: string
}

const PIPE_ENDS = 'M8 22h46v28H8M112 22H68v28h44'
const CASSETTE = 'M24 30h70v28H24z'
const SPOUT = 'M84 30V20l14-9M94 30v-5l12-7'

export const DRAWINGS: Readonly<Record<string, Drawing>> = {
  'vacuum-breaker': {
    thin: 'M6 12h34v12H6M18 12V5h14M53 50c0 14 20 12 54 14M43 50c0 20 26 20 64 22',
    thick: 'M36 24h26v26H36z',
    full: 'M36 24h26v6H36z',
    flow: 'M88 38H68m6-5-6 5 6 5M10 38h20m-6-5 6 5-6 5',
  },
  elbow: {
    thin: 'M4 60h46M92 60h24M50 60v10M92 60v10M4 20q5-6 10 0t10 0 10 0M4 38q5-6 10 0t10 0 10 0',
    thick: 'M34 16h28q24 0 24 24v20M34 40h16q8 0 8 8v12M48 60h46',
    flow: 'M20 29h38q13 0 13 13v20m-5-6 5 6 5-6',
  },
  lug: {
    thin: 'M60 14a22 22 0 1 0 .01 0M60 22a14 14 0 1 0 .01 0',
    full: 'M26 29h13v14H26zM81 29h13v14H81z',
    flow: 'M36 12a34 34 0 0 1 48 0m-8-2 8 2 1-8',
  },
  gasket: { thin: PIPE_ENDS, thick: 'M61 14v44', full: 'M58 14h6v12h-6zM58 46h6v12h-6z' },
  blade: {
    thin: 'M6 26h46M6 52h46M68 26h46M68 52h46M52 20h16v38H52z',
    thick: 'M60 40V6M48 6h24',
    full: 'M57 20h6v22h-6z',
    flow: 'M84 8v16m-5-6 5 6 5-6',
  },
  spout: { thin: CASSETTE, thick: SPOUT, flow: 'M106 8q8 8 6 22m-5-5 5 6 4-7' },
  'air-button': {
    thin: `${CASSETTE}${SPOUT}`,
    full: 'M34 23h14v7H34z',
    flow: 'M41 3v15m-5-6 5 6 5-6',
  },
  float: {
    thin: 'M26 8v54h68V8M26 36q8-5 17 0t17 0 17 0 17 0',
    thick: 'M92 16 56 34',
    full: 'M52 27a8 8 0 1 0 .01 0',
  },
  plate: { thin: CASSETTE, thick: 'M40 26h40', full: 'M38 22h44v6H38z', flow: 'M60 2v14m-5-6 5 6 5-6' },
  wand: {
    thin: 'M6 66h108M40 66V50h44v16M44 50q0-10 18-10t18 10',
    thick: 'M14 8 62 42',
    full: 'M58 36l12 8-6 8-12-8z',
    flow: 'M70 54l8 6M62 56l2 8M74 46l12 2',
  },
  bore: {
    thin: 'M60 6a30 30 0 1 0 .01 0',
    thick: 'M60 14a22 22 0 1 0 .01 0',
    flow: 'M38 36h44m-38-5-6 5 6 5m32-10 6 5-6 5',
  },
  'low-points': {
    thin: 'M6 14h24v22h26M112 14H88v22H62M4 60h112',
    thick: 'M56 36h6M59 36v12',
    full: 'M53 42h12v6H53z',
    flow: 'M59 50v10m-4-5 4 6 4-6',
  },
}
