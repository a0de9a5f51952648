/** Words of the command line; all go to standard error. */
export const cli = {
  usage: `Usage: npm run -s dry-count -- COMMAND FILE [options]

  count FILE        how many dry days, what stops them and when, with the ledger (JSON)

FILE is a Dry Count document; - reads standard input.
Options: --stay ID   the stay (default: the document's current stay)
         --horizon DAYS   how far to look ahead`,
  unknownCommand: (found: string) => `unknown command '${found}'; known: count`,
  unknownOption: (found: string) => `unknown option '${found}'`,
  missingFile: 'name a file, or - for standard input',
  broken: (what: string) => `this could not be computed (${what}); please report it with the file`,
  unreadable: (file: string) => `${file}: cannot be read`,
  noStay: (file: string, found: string) => `${file}: stays: found ${found}, expected the id of a stay`,
  badNumber: (option: string, found: string) =>
    `${option}: found '${found}', expected a number of days from 1 to 366`,
  fault: (file: string, path: string, words: string, found: string, expected: string) =>
    `${file}: ${path}: found ${found}${expected === '' ? '' : `, expected ${expected}`}. ${words}`,
}
