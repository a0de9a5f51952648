/**
 * Digests of every version's JSON Schema and fixture, as they were shipped (first 16 hex digits of SHA-256). They never
 * change: if the test fails, the schema was changed without a new version and a migration. Once, in version 11, ids of catalogues
 * (gear, chores, cards) moved out of the schema to `catalogueChecks`: every file that was good before is good still.
 */
export const FROZEN = [
  { version: 1, schema: 'a658be02521fd0de', fixture: '3561adc9332511cc' },
  { version: 2, schema: '77b64586cab59692', fixture: '3a99a3ebbc3af1ab' },
  { version: 3, schema: 'b83d922b38bcbf4d', fixture: '67b957aaa853c624' },
  { version: 4, schema: 'dc318dbde383d0d3', fixture: 'e3fd688e47863bb9' },
  { version: 5, schema: '0887b638c6ac24aa', fixture: 'f9360922991681e9' },
  { version: 6, schema: '346d4fe958e140c3', fixture: 'bcf5c2c196611123' },
  { version: 7, schema: '0a4127718e2916be', fixture: 'bdd6e92bdc9a1aec' },
  { version: 8, schema: 'de13cb74b2a71f71', fixture: '43a3e3cae7db101b' },
  { version: 9, schema: '43154ae26f4fcbba', fixture: 'e73ee954b4021dba' },
  { version: 10, schema: 'bb9f27d82a7241d1', fixture: 'deced512c3301c99' },
  { version: 11, schema: '869cf9e91fba9b62', fixture: 'f0d34de8654e3184' },
]
