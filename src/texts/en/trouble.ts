import { plural } from '../plural'
import { group } from '../group'

/** What may go wrong, and what is said in passing. */

export const trouble = /* @__PURE__ */ group('trouble', {
  title: 'Your data is not shown',
  open: {
    full: 'There is no room left on this device to open it. Nothing has been changed.',
    blocked: 'This browser does not let Dry Count keep anything.',
    newer:
      'A newer Dry Count has written it in this browser, and this one cannot read it. Nothing has been changed. Reload to get the newer one, or take the data out as a file.',
    damaged:
      'What this browser kept is damaged, and nothing of it has been changed. Take it out as a file first: opening that file says where it is damaged.',
    upgrade:
      'It was written by an older Dry Count and could not be brought up to date. Nothing has been changed: take it out as a file.',
    deleted: 'It was deleted in this browser.',
    failed:
      'It could not be read, and nothing has been changed. Close other tabs of Dry Count and try again.',
  },
  read: {
    full: 'What another tab has changed could not be read: there is no room on this device. You see what this tab knew last.',
    blocked: 'This browser no longer lets Dry Count read its data. You see what this tab knew last.',
    newer: 'Another tab runs a newer Dry Count. You see what this tab knew last; reload it.',
    damaged: 'What another tab has written is damaged. You see what this tab knew last: export it.',
    upgrade: 'What is kept could not be brought up to date. You see what this tab knew last.',
    deleted: 'What this browser kept was deleted while Dry Count was open. What you see is now only here.',
    failed: 'What another tab has changed could not be read. You see what this tab knew last.',
  },
  write: {
    full: 'Not saved: there is no room left on this device. Your last changes are still here. Free some room, or export a file.',
    blocked:
      'Not saved: this browser no longer lets Dry Count keep anything. Your changes are still here; export a file.',
    newer: 'Not saved: a newer Dry Count has taken over what is kept. Export a file, then reload.',
    damaged:
      'Not saved: what is kept in this browser is damaged. Your changes are still here; export a file.',
    upgrade:
      'Not saved: what is kept could not be brought up to date. Your changes are still here; export a file.',
    deleted:
      'Not saved: what this browser kept was deleted while Dry Count was open. What you see is now only here.',
    failed: 'Not saved. Your last changes are still here; try again, or export a file.',
  },
  keepAgain: 'Keep what I see',
  export: 'Export a file',
  takeOut: 'Take the data out as a file',
  takeOutFailed: 'Nothing could be read at all.',
  import: 'Open a file instead',
  startOver: 'Delete it here and start again',
  startOverTitle: 'Delete what this browser keeps?',
  startOverText: 'This cannot be undone. Take the data out as a file first.',
  startOverYes: 'Delete it',
  cancel: 'Leave it',
  reload: 'Reload',
})

export const notices = /* @__PURE__ */ group('notices', {
  dismiss: 'Close this notice',
  dropped: (label: string, what: string, why: string) =>
    `Not kept: ${label}${what === '' ? '' : ` (${what})`}. ${why}`,
  gone: 'What it changed is gone: another tab has removed it.',
  noFit: (fault: string) => `It no longer fits what another tab has done. ${fault}`,
  gaveWay: (on: string, off: string) =>
    `“${on}” took the place of “${off}”, which another tab had switched on.`,
  othersStep: {
    undo: (label: string) => `That took back another tab’s change: ${label}.`,
    redo: (label: string) => `That made another tab’s change again: ${label}.`,
  },
  notReplayed: {
    undo: 'That could not be undone just now. Nothing has changed.',
    redo: 'That could not be made again just now. Nothing has changed.',
  },
  logWent: (stay: string, entries: number) =>
    `${stay} is removed, and ${plural(entries, 'the one entry', `the ${entries} entries`)} of its log with it. Undo brings both back.`,
  logged: (card: string, tanks: string) =>
    tanks === '' ? `${card} is in the log.` : `${card} is in the log: ${tanks}.`,
  orphans: (n: number) =>
    `${plural(n, 'One entry is', `${n} entries are`)} of a stay that is gone. ${plural(n, 'It is kept and goes', 'They are kept and go')} into every file you save. Nothing counts ${plural(n, 'it', 'them')}.`,
  alreadyEnded: {
    walk: 'This card was ended in another tab. It is in the log once.',
    shower: 'This shower was ended in another tab. It is in the log once.',
  },
  notLoaded: 'That part of Dry Count could not be loaded. Everything else goes on.',
})

export const keeping = /* @__PURE__ */ group('keeping', {
  promised: 'This browser has promised to keep your data.',
  refused:
    'This browser may clear your data when it runs short of room. An export now and then is your copy.',
  unknown: 'This browser has not been asked yet to keep your data for good.',
  ask: 'Ask it now',
  remind: (changes: string) => `${changes} changes since your last copy on a file.`,
  export: 'Export a file',
  later: 'Not now',
})

export const update = /* @__PURE__ */ group('update', {
  text: 'A newer Dry Count is ready.',
  now: 'Use it now',
  coming: 'The newer Dry Count is coming…',
  later: 'Later',
  oldTabUnsaved: 'Your last changes are not saved: export a file first.',
})
