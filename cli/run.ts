import { isWallTime, type WallTime } from '@/core/calendar'
import type { LogEntry } from '@/core/log'
import type { Document } from '@/core/domain'
import { TRIALS } from '@/core/risk'
import { pathText, readDocument, show } from '@/document'
import * as t from '@/texts/t'
import { countCommand } from './count'
import { habitsCommand } from './habits'
import { learnCommand } from './learn'
import { riskCommand } from './risk'

export interface Outcome {
  /** For standard output; null where there is no answer. */
  output: string | null
  /** For standard error, a line each. */
  messages: string[]
  /** 0 answered, 2 the input is unusable. */
  exitCode: 0 | 2
}

export interface Options {
  stay: string
  /** Days; undefined: the stay's own. */
  horizon: number | undefined
  seed: number
  trials: number
  /** Wall time from which the stay is counted; undefined: its start. */
  now: WallTime | undefined
  /** Whether the runs that are set are played. */
  withRuns: boolean
}

type Command = (document: Document, options: Options, log: readonly LogEntry[]) => unknown
const COMMANDS: Record<string, Command> = {
  count: countCommand,
  risk: riskCommand,
  habits: habitsCommand,
  learn: learnCommand,
}
/** Those that can begin inside a stay. */
const FROM_NOW = ['count', 'risk', 'learn']
/** Those that can play the runs that are set. */
const WITH_RUNS = ['count', 'risk']
/** What numbers the options take. */
const RANGES = {
  '--horizon': { min: 1, max: 366, isWhole: false },
  '--seed': { min: 0, max: 2 ** 31 - 1, isWhole: true },
  '--trials': { min: 1, max: 1_000_000, isWhole: true },
}
type NumberOption = keyof typeof RANGES

/** The command line without its process. @param read the text of a file, `-` for standard input */
export async function run(args: readonly string[], read: (file: string) => string): Promise<Outcome> {
  const [name, file, ...rest] = args
  if (name === undefined || name === '--help' || name === 'help') return unusable([t.cli.usage])
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined
  if (!command) return unusable([t.cli.unknownCommand(name), t.cli.usage])
  if (file === undefined || (file.startsWith('-') && file !== '-')) return unusable([t.cli.missingFile])
  const flags = parseFlags(rest)
  if (!flags.ok) return unusable([flags.words])
  if ('--now' in flags.values && !FROM_NOW.includes(name)) return unusable([t.cli.unknownOption('--now')])
  if (WITH_RUNS_FLAG in flags.values && !WITH_RUNS.includes(name))
    return unusable([t.cli.unknownOption(WITH_RUNS_FLAG)])
  let text: string
  try {
    text = read(file)
  } catch {
    return unusable([t.cli.unreadable(file)])
  }
  return answer(command, file, text, flags.values)
}

async function answer(
  command: Command,
  file: string,
  text: string,
  flags: Record<string, string>,
): Promise<Outcome> {
  const opened = await readDocument(text)
  if (!opened.ok)
    return unusable(
      opened.faults.map((fault) =>
        t.cli.fault(file, pathText(fault.path), t.faults[fault.code](fault), fault.found, fault.expected),
      ),
    )
  const document = opened.value
  // Entries that cannot be read are left out, and said.
  const messages = (opened.leftOut ?? []).map((fault) =>
    t.cli.fault(file, pathText(fault.path), t.faults[fault.code](fault), fault.found, fault.expected),
  )
  const stay = flags['--stay'] ?? document.currentStay
  if (stay === null || stay === undefined || !document.stays.some(({ id }) => id === stay))
    return unusable([t.cli.noStay(file, show(stay ?? undefined))])
  const values: Partial<Record<NumberOption, number>> = {}
  for (const option of Object.keys(RANGES) as NumberOption[]) {
    const found = flags[option]
    if (found === undefined) continue
    const { min, max, isWhole } = RANGES[option]
    const value = Number(found)
    if (found.trim() === '' || !(value >= min && value <= max) || (isWhole && !Number.isInteger(value)))
      return unusable([t.cli.badNumber(option, found, min, max)])
    values[option] = value
  }
  const now = flags['--now']
  if (now !== undefined && !isNow(document, stay, now))
    return unusable([t.cli.badNow(show(now), ...spanOf(document, stay))])
  const options = {
    stay,
    now,
    horizon: values['--horizon'],
    seed: values['--seed'] ?? 1,
    trials: values['--trials'] ?? TRIALS,
    withRuns: WITH_RUNS_FLAG in flags,
  }
  return { output: `${JSON.stringify(command(document, options, opened.log))}\n`, messages, exitCode: 0 }
}

function spanOf(document: Document, id: string): [WallTime, WallTime] {
  const { start, leaveAt } = document.stays.find((stay) => stay.id === id)!
  return [start, leaveAt]
}

/** A stay is counted from a moment of its own: from its start until it is left. */
function isNow(document: Document, stay: string, time: string): boolean {
  const [start, leaveAt] = spanOf(document, stay)
  return isWallTime(time) && time >= start && time <= leaveAt
}

const WITH_RUNS_FLAG = '--with-runs'
const FLAGS = ['--stay', '--now', ...Object.keys(RANGES)]

function parseFlags(
  args: readonly string[],
): { ok: true; values: Record<string, string> } | { ok: false; words: string } {
  const values: Record<string, string> = {}
  for (let i = 0; i < args.length; i += 2) {
    const flag = args[i]!
    if (flag === WITH_RUNS_FLAG) {
      values[flag] = ''
      i -= 1
      continue
    }
    const value = args[i + 1]
    if (!FLAGS.includes(flag) || value === undefined) return { ok: false, words: t.cli.unknownOption(flag) }
    values[flag] = value
  }
  return { ok: true, values }
}

function unusable(messages: string[]): Outcome {
  return { output: null, messages, exitCode: 2 }
}
