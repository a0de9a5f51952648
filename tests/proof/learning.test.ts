import { expect, it } from 'vitest'
import { studyOf } from '../../scripts/study/table'

// Seeds of its own: the bounds are promises about households, not about those of the table in docs/learning.md.
it('what is learned is as good as docs/learning.md promises, on fresh households', () => {
  for (const { group, lines } of studyOf(300, 411_000))
    for (const { what, figure, least, most } of lines) {
      console.log(`${group}: ${what} ${figure.toFixed(3)}`)
      expect({ what, figure, isWithin: figure >= least && figure <= most }).toEqual({
        what,
        figure,
        isWithin: true,
      })
    }
})
