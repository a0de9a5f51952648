/** Words of the command line; all go to standard error. */
export const cli = {
  usage: `Usage: npm run -s dry-count -- COMMAND FILE [options]

  count FILE        how many dry days, what stops them and when, with the ledger (JSON)
  risk FILE         what may come of it: days to plan on, stoppers by share, levels as ranges (JSON)
  habits FILE       what each habit buys, most days for the bother first (JSON)
  learn FILE        what the stay's log teaches: litres per use, levels, probes (JSON)

FILE is a Dry Count document; - reads standard input.
Options: --stay ID   the stay (default: the document's current stay)
         --horizon DAYS   how far to look ahead
         --now TIME   count from there, a time of the stay (count, risk and learn)
         --with-runs   play the runs that are set (count and risk)
         --seed N   the luck of the trips, a whole number (default 1)
         --trials N   how many trips (default 10000)`,
  unknownCommand: (found: string) => `unknown command '${found}'; known: count, risk, habits, learn`,
  unknownOption: (found: string) => `unknown option '${found}'`,
  missingFile: 'name a file, or - for standard input',
  broken: (what: string) => `this could not be computed (${what}); please report it with the file`,
  notWritten: (code: string) =>
    `the answer could not be written (${code === 'ENOSPC' ? 'no room left' : code})`,
  unreadable: (file: string) => `${file}: cannot be read`,
  noStay: (file: string, found: string) => `${file}: stays: found ${found}, expected the id of a stay`,
  badNumber: (option: string, found: string, min: number, max: number) =>
    `${option}: found '${found}', expected a number from ${min} to ${max}`,
  badNow: (found: string, start: string, leaveAt: string) =>
    `--now: found ${found}, expected a time of the stay, from ${start} to ${leaveAt}`,
  fault: (file: string, path: string, words: string, found: string, expected: string) =>
    `${file}: ${path}: found ${found}${expected === '' ? '' : `, expected ${expected}`}. ${words}`,
}
