// A thread of the benchmark; tsx has to be asked for once more here.
import { register } from 'tsx/esm/api'

register()
await import('./riskThread.ts')
