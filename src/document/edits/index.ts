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
  addContainer, addFixture, newContainer, removeContainer, removeFixture, rigOf, setCapacity, setReserve, setRole,
  setSafeFill,
} from './rigEdits' // prettier-ignore
export {
  addPerson, crewOf, removeActivity, removePerson, setAbsence, setLevel, setNights, setOwnRate, setStart, stayOf, withWeight,
} from './stayEdits' // prettier-ignore
