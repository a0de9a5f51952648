import { expose } from 'comlink'
import { reachJob } from './reachJob'

expose(reachJob())
