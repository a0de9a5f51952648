import { figures, shareOf, type Asked } from './study/figures'
const N = Number(process.argv[3] ?? 300)
const SEED = Number(process.argv[4] ?? 5_000_000)
const S: Record<string, Omit<Asked,'households'|'seed'>> = {
  usual: { days: 3 },
  quarterWrong: { days: 3, habits: { wrong: 0.25 } },
  full: { days: 2, habits: { knownStart: true } },
  knownCrew: { days: 3, habits: { knownStart: true, ownSpread: 0.07 } },
  tens: { days: 3, habits: { panel: 'tens' } },
  typed: { days: 3, habits: { typed: true } },
  typedFull: { days: 3, habits: { typed: true, knownStart: true } },
  eight: { days: 3, habits: { readings: 8 } },
  eightFull: { days: 3, habits: { readings: 8, knownStart: true } },
  guest: { days: 3, habits: { guest: true } },
  guestFull: { days: 3, habits: { guest: true, knownStart: true } },
  metered: { days: 3, habits: { metered: 'all' , knownStart: true}, logging: 'each' },
  meteredP: { days: 3, habits: { metered: 'all' }, logging: 'each' },
  each: { days: 2.5, logging: 'each' },
  half: { days: 2.5, logging: 'half' },
  stops: { days: 2.5, logging: 'stops' },
  counted: { days: 3, habits: { counted: 0.5 } },
  hookup: { days: 5, habits: { hookup: true, knownStart: true, counted: 0.5 } },
}
const which = process.argv[2] === 'all' ? Object.keys(S) : process.argv[2]!.split(',')
const ends = process.argv[5] === 'ends'
for (const name of which) {
  const t = Date.now()
  const f = figures({ ...S[name]!, households: N, seed: SEED, ends })
  const p = (c: {inside:number, of:number}) => (100 * shareOf(c)).toFixed(1).padStart(5)
  console.log(name.padEnd(13), 'levels', p(f.levels), 'fresh', p(f.supplies), 'waste', p(f.wastes), 'litres', p(f.activities), 'learned', p(f.learnedOnes), 'total', p(f.total), 'holds', p(f.holds), 'plan', f.planOn.toFixed(2), 'lvlErr', f.levelError.toFixed(3), 'totErr', f.totalError.toFixed(3), 'near', f.near.toFixed(2),f.nearAlone.toFixed(2), f.far.toFixed(2), 'alarm', p(f.falseAlarms), `${((Date.now()-t)/1000).toFixed(0)}s`)
}
