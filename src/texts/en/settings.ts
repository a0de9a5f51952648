import { plural } from '../plural'
import { group } from '../group'

/** Settings and files. */

export const settings = /* @__PURE__ */ group('settings', {
  title: 'Settings',
  units: 'Units',
  single: 'Each unit by itself',
  look: 'Look',
  data: 'Your data',
  reports: {
    title: 'What went wrong lately',
    answer: (n: number) => (n === 0 ? 'nothing' : plural(n, 'one thing', `${n} things`)),
    none: 'Nothing went wrong since this page was opened.',
    hint: 'Dry Count met these faults and went on. Copy them for somebody who helps you.',
    copy: 'Copy them',
    copied: 'Copied.',
    notCopied: 'They could not be copied. Select the text above instead.',
  },
  dimension: {
    volume: 'Water',
    mass: 'Weight',
    distance: 'Distance',
    temperature: 'Temperature',
    length: 'Length',
  },
  theme: { auto: 'As the device', light: 'Day', dark: 'Night', sun: 'Bright sun' },
  offlineReady: 'Ready to work without a network.',
  offlineNotYet: 'Not kept for offline use in this browser yet.',
  dataText:
    'Everything is kept in this browser, on this device. Export a file to take it along or to keep a copy.',
  export: 'Export to a file',
  import: 'Import a file',
  clear: 'Clear everything',
  demoReset: 'Put the demo back as it was',
  leaveDemo: 'Use my own data',
  openDemo: 'Open the demo',
  demoText: 'This is the demo world. What you change here never touches your own data.',
  mineText: 'The demo is kept apart from your own data.',
  cleared: 'Cleared. Undo brings it back.',
  clearedUnsaved: 'Cleared here, but not saved. Undo brings it back.',
  clearTitle: 'Clear everything?',
  clearText: (stays: number, rigs: number) =>
    `${stays} ${plural(stays, 'stay', 'stays')} and ${rigs} ${plural(rigs, 'rig', 'rigs')} are removed from this browser. Undo brings them back as long as you do not clear the browser itself.`,
  keepIt: 'Leave it',
  imported: (name: string) => `Opened ${name}. Undo brings back what was here.`,
  refused: (name: string) => `${name} was not opened, and nothing has changed.`,
  more: (n: number) => `and ${n} more`,
  logUnread: 'The logs of other stays could not be read just now: the file has the one of this stay.',
  unreadable: (name: string) => `${name} could not be read.`,
  damagedLog: (n: number) =>
    plural(
      n,
      'One entry of the log is damaged. It is set aside, and nothing counts it.',
      `${n} entries of the log are damaged. They are set aside, and nothing counts them.`,
    ),
  saveDamaged: 'Save them as a file',
})

export const imports = /* @__PURE__ */ group('imports', {
  title: (name: string) => `Open ${name}`,
  text: (stays: number, rigs: number) =>
    `It holds ${stays} ${plural(stays, 'stay', 'stays')} and ${rigs} ${plural(rigs, 'rig', 'rigs')}.`,
  replace: 'Replace what is here',
  add: 'Add to what is here',
  cancel: 'Leave it',
  added: (name: string) => `Added ${name}. Undo takes it out again.`,
  keeping: (name: string) => `Keeping ${name}…`,
  leftOut: (n: number) =>
    plural(
      n,
      'One entry of its log cannot be read. It was left out:',
      `${n} entries of its log cannot be read. They were left out:`,
    ),
  orphans: (n: number) =>
    plural(
      n,
      'One entry is of a stay or a rig that is not there. It is kept, and nothing counts it.',
      `${n} entries are of stays or rigs that are not there. They are kept, and nothing counts them.`,
    ),
  notKept: (name: string) => `${name} is shown, but not saved. Undo brings back what was here.`,
})
