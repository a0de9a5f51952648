export { containerOf, crewOf, rigOf, stayOf } from './find'
export { setFlushSchool } from './flushEdits'
export {
  copyCrew,
  copyRig,
  copyStay,
  removeCrew,
  removeRig,
  removeStay,
  useCrew,
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
} from './rigEdits'
export {
  addAbsences,
  addPerson,
  removeActivity,
  removePerson,
  setAbsence,
  setGuest,
  setLevel,
  setModelLevel,
  setNights,
  setOwnRate,
  setReading,
  setStart,
  setWarmest,
  withWeight,
} from './stayEdits'
