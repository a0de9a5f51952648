import { expose } from 'comlink'
import { adviceJob } from './adviceJob'

expose(adviceJob())
