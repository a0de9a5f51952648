export type { AdviceRequest, AdviceWorker } from './adviceJob'
export { riskEngine } from './riskEngine'
export type { RiskRequest, RiskWorker } from './riskJob'
export { spawnAdvice, spawnReach, spawnRisk } from './spawn'
