export { activityOf, containerOf, crewOf, fixtureOf, outletOf, rigOf, stayOf } from './find'
export { setFlushAnswer } from './flushEdits'
export {
  copyCrew,
  copyRig,
  copyStay,
  removeCrew,
  removeRig,
  removeStay,
  setStayCrew,
  useRig,
} from './entityEdits'
export {
  addMissingHabits,
  dropBlocked,
  newHabit,
  removeHabit,
  setGear,
  setHabit,
  setHabitPersons,
  setRule,
} from './habitEdits'
export {
  addContainer,
  addFixture,
  changeMedium,
  measureTank,
  newOutlet,
  removeContainer,
  removeFixture,
  reroute,
  setCapacity,
  setJoined,
  setOutlet,
  setPanel,
  setReserve,
  setRole,
  setSafeFill,
  toggleLight,
} from './rigEdits'
export { addPerson, removeActivity, removePerson, setOwnRate, withWeight } from './crewEdits'
export { putCard, putProduct, removeCard, removeProduct, setFlow, setMetered } from './cardEdits'
export { setCounted, startNow, takeOver } from './logEdits'
export { addAbsences, setAbsence, setGuest } from './presenceEdits'
export { setLevel, setModelLevel, setNights, setReading, setStart, setWarmest } from './stayEdits'
export {
  addRuns,
  moveRun,
  putPlace,
  removePlace,
  removeRun,
  replaceRun,
  setAnswer,
  setSite,
  setWay,
} from './runEdits'
export {
  addSwap,
  declineAdvice,
  dropSwaps,
  hearAllAdvice,
  setApart,
  setBudgetConfidence,
  setGoal,
  setSaves,
} from './budgetEdits'
export { addUsualChores, doneChore, putChore, removeChore, setMediumStock, snoozeChore } from './choreEdits'
export { followStay, hookupBetween, setEndsAt, setFollows } from './chainEdits'
export type { NextStay } from './chainEdits'
