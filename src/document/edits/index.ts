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
export { addMissingHabits, dropBlocked, newHabit, removeHabit, setGear, setRule } from './habitEdits'
export {
  addContainer, addFixture, changeMedium, containerOf, newOutlet, removeContainer, removeFixture, reroute, rigOf,
  setCapacity, setJoined, setOutlet, setReserve, setRole, setSafeFill,
} from './rigEdits' // prettier-ignore
export {
  addPerson, crewOf, removeActivity, removePerson, setAbsence, setLevel, setModelLevel, setNights, setOwnRate, setStart, setWarmest, stayOf, withWeight,
} from './stayEdits' // prettier-ignore
