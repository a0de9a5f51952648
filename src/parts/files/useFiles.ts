import { ref } from 'vue'
import type { Document } from '@/core/model'
import { fileName, LIMITS, pathText, readDocument, writeDocument, type DocumentFault } from '@/document'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { t } from '@/texts'

/** What happened to a file, in words; `faults` only where it was refused. */
export interface FileMessage {
  text: string
  faults: string[]
}

const FAULTS_SHOWN = 5

/** Documents to and from files. A refused file changes nothing. */
export function useFiles() {
  const workspace = useWorkspaceStore()
  const message = ref<FileMessage | null>(null)

  function exportFile() {
    const { document } = workspace
    const stay = document.stays.find(({ id }) => id === document.currentStay)
    save(writeDocument(document), fileName(stay?.name ?? ''))
  }

  async function importFile(file: File) {
    const result = await readFile(file)
    if (!result.ok) message.value = refusal(file.name, result.faults)
    else {
      workspace.replace('import', () => result.value)
      message.value = { text: t.settings.imported(file.name), faults: [] }
    }
  }

  return { message, exportFile, importFile }
}

async function readFile(
  file: File,
): Promise<{ ok: true; value: Document } | { ok: false; faults: DocumentFault[] }> {
  if (file.size > LIMITS.fileBytes)
    return {
      ok: false,
      faults: [
        { code: 'too-large', path: [], found: `${Math.ceil(file.size / 1024 / 1024)} MB`, expected: '50 MB' },
      ],
    }
  return readDocument(await file.text())
}

function refusal(name: string, faults: readonly DocumentFault[]): FileMessage {
  const lines = faults
    .slice(0, FAULTS_SHOWN)
    .map((fault) => `${pathText(fault.path)}: ${t.faults[fault.code](fault)}`)
  if (faults.length > FAULTS_SHOWN) lines.push(t.settings.more(faults.length - FAULTS_SHOWN))
  return { text: t.settings.refused(name), faults: lines }
}

function save(text: string, name: string) {
  const url = URL.createObjectURL(new Blob([text], { type: 'application/json' }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}
