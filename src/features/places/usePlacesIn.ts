import { computed, ref, shallowRef } from 'vue'
import type { Id, Place } from '@/core/domain'
import { greatCircleKm } from '@/core/places'
import { useForecastStore } from '@/data/forecastStore'
import { newId } from '@/data/newId'
import { safeStorage } from '@/data/safeStorage'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import { PLACES_FILE_BYTES, type PlacesReport, type ReadPlaces } from '@/document/places/placesReport'
import { refusalWords } from '@/parts/fields/refusalWords'
import { usePlaceEdit } from '@/parts/places/usePlaceEdit'
import { formatDate } from '@/texts'
import * as t from '@/texts/t'
import { nextFrame } from '@/ui/nextFrame'

/** Two of one name within so many km are the same place. */
const SAME_KM = 0.2

/** What was found somewhere, to choose from before anything is added. */
interface Found extends PlacesReport {
  /** Those that are not here already. */
  fresh: Place[]
  already: number
}

/** Places from files, the directory and other stays: read, looked through, chosen, added. */
export function usePlacesIn() {
  const forecast = useForecastStore()
  const workspace = useWorkspaceStore()
  const edit = usePlaceEdit()
  const found = shallowRef<Found | null>(null)
  const chosen = ref<ReadonlySet<Id>>(new Set())
  const said = ref('')
  const refused = ref('')
  const isAsking = ref(false)
  const heard = ref<string | null>(null)
  let asking: AbortController | null = null

  const placesLeft = computed(() => LIMITS.places - (forecast.stay?.places.length ?? 0))
  function clear(): void {
    found.value = null
    said.value = refused.value = ''
    heard.value = null
  }

  function show(report: PlacesReport): void {
    const known = forecast.stay?.places ?? []
    const fresh = report.places.filter((place) => !known.some((one) => isSamePlace(one, place)))
    found.value = { ...report, fresh, already: report.places.length - fresh.length }
    const about = forecast.stay?.site.position ?? null
    const km = ({ position }: Place) => (about && position ? greatCircleKm(about, position) : Infinity)
    const nearest = fresh.length > placesLeft.value ? [...fresh].sort((a, b) => km(a) - km(b)) : fresh
    chosen.value = new Set(nearest.slice(0, placesLeft.value).map(({ id }) => id))
  }

  async function readFile(file: File): Promise<void> {
    clear()
    if (file.size > PLACES_FILE_BYTES) {
      refused.value = t.places.fileFaults['too-large'](`${Math.ceil(file.size / 1024 / 1024)} MB`)
      return
    }
    const text = await file.text()
    // The screen says that something is going on before a large file is read.
    said.value = t.places.reading
    await nextFrame()
    const read = await readPlaces(file.name, text)
    said.value = ''
    if (read === null) refused.value = t.places.fileFaults['other-kind']()
    else if (read.ok) show(read.report)
    else refused.value = t.places.fileFaults[read.code](read.found)
  }

  async function ask(km: number): Promise<void> {
    const position = forecast.stay?.site.position
    clear()
    if (!position) {
      refused.value = t.places.noSite
      return
    }
    isAsking.value = true
    asking = new AbortController()
    const [{ httpDirectory }, { keptDirectory }] = await Promise.all([
      import('@/data/directory/httpDirectory'),
      import('@/data/directory/keptDirectory'),
    ])
    const directory = httpDirectory({ url: 'api/places', nameless: t.places.nameless })
    const kept = keptDirectory(directory, safeStorage(), () => Date.now())
    const answer = await kept.around({ position, km }, asking.signal)
    isAsking.value = false
    if (!answer.ok) {
      refused.value = t.places.faults[answer.fault]
      return
    }
    const at = answer.heardAt ?? null
    heard.value = at === null ? null : formatDate(new Date(at).toISOString().slice(0, 16))
    show(answer.report)
  }

  /** Places of the owner's other stays that this one does not know, each once. */
  const others = computed(() => {
    const known = new Set(forecast.stay?.places.map(({ id }) => id))
    const all = new Map<Id, Place>()
    for (const { places } of workspace.document.stays)
      for (const place of places) if (!known.has(place.id)) all.set(place.id, place)
    return [...all.values()]
  })
  function takeOthers(): void {
    clear()
    show({ places: others.value, leftOut: [], notUnderstood: [] })
  }

  function add(): void {
    if (!found.value) return
    const taken = found.value.fresh.filter(({ id }) => chosen.value.has(id))
    const result = edit.putAll(taken)
    if (!result.ok) {
      refused.value = refusalWords(result.faults)
      return
    }
    clear()
    said.value = t.places.taken(taken.length)
  }
  function toggle(id: Id): void {
    const next = new Set(chosen.value)
    if (!next.delete(id)) next.add(id)
    chosen.value = next
  }
  return {
    ...{ found, chosen, said, refused, isAsking, heard, placesLeft, others },
    ...{ readFile, ask, takeOthers, add, toggle, cancel: clear },
    stop: () => asking?.abort(),
    chooseAll: () =>
      (chosen.value = new Set(found.value?.fresh.slice(0, placesLeft.value).map(({ id }) => id))),
    chooseNone: () => (chosen.value = new Set()),
  }
}

function isSamePlace(a: Place, b: Place): boolean {
  if (a.id === b.id) return true
  if (a.name !== b.name) return false
  return a.position !== null && b.position !== null && greatCircleKm(a.position, b.position) < SAME_KM
}

/** By its end, and where that says nothing by how it begins. */
async function readPlaces(name: string, text: string): Promise<ReadPlaces | null> {
  const id = () => newId('place')
  const begins = text.trimStart().slice(0, 1)
  if (/\.gpx$/i.test(name) || begins === '<') {
    const [{ readGpx }, { browserXml }] = await Promise.all([
      import('@/document/places/gpx'),
      import('@/parts/files/xml'),
    ])
    return readGpx(text, browserXml, id, t.places.nameless)
  }
  if (!/\.(geo)?json$/i.test(name) && begins !== '{') return null
  const { readGeoJson } = await import('@/document/places/geojson')
  return readGeoJson(text, id, t.places.nameless)
}
