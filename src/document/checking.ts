/**
 * What holds documents against their rules, and brings older ones up to date: large, so that those who can wait for it
 * fetch it apart from everything else.
 */
export { entityFromVersion1 } from './migrations/fromVersion1'
export { entityFromVersion2 } from './migrations/fromVersion2'
export { entityFromVersion3 } from './migrations/fromVersion3'
export { entityFromVersion4 } from './migrations/fromVersion4'
export { entityFromVersion5 } from './migrations/fromVersion5'
export { entityFromVersion6 } from './migrations/fromVersion6'
export { entityFromVersion7 } from './migrations/fromVersion7'
export { entityFromVersion8 } from './migrations/fromVersion8'
export { gaveWay, whatChanged } from './whatChanged'
export { checked, checkedEdit, checkedEntry, readDocument } from './openDocument'
