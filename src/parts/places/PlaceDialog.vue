<script setup lang="ts">
import { computed, onBeforeUnmount, watch } from 'vue'
import { OFFERS, PLACE_ACCESS, APPROACHES, type Approach, type Offer, type PlaceAccess } from '@/core/domain'
import { owned, type Quantity } from '@/core/quantities'
import { useForecastStore } from '@/data/forecastStore'
import { useClockStore } from '@/data/clockStore'
import { LIMITS } from '@/document'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppDialog from '@/ui/AppDialog.vue'
import AppSwitch from '@/ui/AppSwitch.vue'
import MaybeQuantity from '@/parts/fields/MaybeQuantity.vue'
import PlaceHours from './PlaceHours.vue'
import PlacePoints from './PlacePoints.vue'
import PlaceWhere from './PlaceWhere.vue'
import { useOpenPlace } from './openPlace'
import { usePlaceEdit } from './usePlaceEdit'
import { usePlaceWords } from './usePlaceWords'

/** One place to be changed: where, when, what it takes, who may; each part says its answer while it is closed. */
const open = useOpenPlace()
const forecast = useForecastStore()
const clock = useClockStore()
const edit = usePlaceEdit()
const words = usePlaceWords()
const place = computed(() => forecast.stay?.places.find(({ id }) => id === open.id) ?? null)
watch(place, (now) => void (now === null && open.close()))
onBeforeUnmount(() => open.close())

const put = (what: string, next: object) => edit.put({ ...place.value!, ...next }, what)
const answers = computed(() => {
  const of = place.value
  if (!of) return null
  const size = [of.maxHeight, of.maxLength].some((one) => one !== null)
  return {
    where: [words.road(of) ?? t.places.noRoad, words.drive(of)].filter((one) => one !== null).join(', '),
    when: words.hoursAt(of, words.moment.value),
    what: `${words.takes(of)}; ${t.places.waterOf(words.water(of))}`,
    who: [t.places.accesses[of.access], words.fee(of), size ? '' : null].filter(Boolean).join(', '),
    more: [of.isHome ? t.places.key.home : null, ...of.offers.map((offer) => t.places.offerNames[offer])]
      .filter((one) => one !== null)
      .join(', '),
  }
})
const toggleOffer = (offer: Offer) => {
  const { offers } = place.value!
  put('offers', {
    offers: offers.includes(offer) ? offers.filter((one) => one !== offer) : [...offers, offer],
  })
}
const summary =
  'flex min-h-12 cursor-pointer flex-wrap items-baseline gap-x-3 py-2.5 text-lg leading-tight font-bold'
</script>

<template>
  <AppDialog
    v-if="place && answers"
    open
    :title="place.name"
    :close-label="t.places.close"
    @close="open.close()"
  >
    <div class="mt-3" data-testid="place-dialog">
      <TextField :label="t.runs.places.name" :value="place.name" :save="(name) => put('name', { name })" />
      <details class="mt-3 border-t border-line" data-testid="place-where">
        <summary :class="summary">
          {{ t.places.where }}<span class="font-normal text-soft">{{ answers.where }}</span>
        </summary>
        <PlaceWhere :place="place" class="pb-4" />
      </details>
      <details class="border-t border-line" data-testid="place-when">
        <summary :class="summary">
          {{ t.places.when }}<span class="font-normal text-soft">{{ answers.when }}</span>
        </summary>
        <PlaceHours :place="place" class="pb-4" />
      </details>
      <details class="border-t border-line" data-testid="place-what">
        <summary :class="summary">
          {{ t.places.what }}<span class="font-normal text-soft">{{ answers.what }}</span>
        </summary>
        <PlacePoints :place="place" class="pb-4" />
      </details>
      <details class="border-t border-line" data-testid="place-who">
        <summary :class="summary">
          {{ t.places.who }}<span class="font-normal text-soft">{{ answers.who }}</span>
        </summary>
        <div class="grid grid-cols-2 items-start gap-4 pb-4">
          <ChoiceField
            :label="t.places.access"
            :value="place.access"
            :options="PLACE_ACCESS.map((value) => ({ value, label: t.places.accesses[value] }))"
            @choose="put('access', { access: $event as PlaceAccess })"
          />
          <ChoiceField
            :label="t.places.approach"
            :value="place.approach"
            :options="APPROACHES.map((value) => ({ value, label: t.places.approaches[value] }))"
            @choose="put('approach', { approach: $event as Approach })"
          />
          <MaybeQuantity
            :label="t.places.fee"
            :value="place.fee"
            dimension="number"
            :limits="LIMITS.fee"
            :first="0"
            :save="(fee: Quantity | null) => put('fee', { fee })"
          />
          <QuantityField
            :label="t.places.queue"
            :value="place.queue.value"
            dimension="number"
            :min="LIMITS.runMinutes.min"
            :max="LIMITS.runMinutes.max"
            :save="(minutes) => put('queue', { queue: owned(minutes) })"
          />
          <MaybeQuantity
            :label="t.places.maxHeight"
            :value="place.maxHeight"
            dimension="length"
            :limits="LIMITS.rigHeightM"
            :first="3.5"
            :save="(maxHeight: Quantity | null) => put('maxHeight', { maxHeight })"
          />
          <MaybeQuantity
            :label="t.places.maxLength"
            :value="place.maxLength"
            dimension="length"
            :limits="LIMITS.rigLengthM"
            :first="12"
            :save="(maxLength: Quantity | null) => put('maxLength', { maxLength })"
          />
        </div>
      </details>
      <details class="border-t border-line" data-testid="place-more">
        <summary :class="summary">
          {{ t.places.more }}<span class="font-normal text-soft">{{ answers.more }}</span>
        </summary>
        <fieldset>
          <legend class="mb-1 text-[0.92rem] font-semibold text-soft">{{ t.places.offers }}</legend>
          <div class="flex flex-wrap gap-2">
            <button
              v-for="offer in OFFERS"
              :key="offer"
              type="button"
              role="checkbox"
              :aria-checked="place.offers.includes(offer)"
              class="min-h-11 border-2 px-3"
              :class="
                place.offers.includes(offer) ? 'border-ink bg-ink font-semibold text-paper' : 'border-line'
              "
              @click="toggleOffer(offer)"
            >
              {{ t.places.offerNames[offer] }}
            </button>
          </div>
        </fieldset>
        <div class="mt-3 flex items-center gap-2">
          <AppSwitch :on="place.isHome" :label="t.places.home" @change="put('home', { isHome: $event })" />
          <span class="font-semibold">{{ t.places.home }}</span>
        </div>
        <p v-if="place.isHome" class="text-[0.95rem] text-soft">{{ t.places.homeHint }}</p>
        <TextField
          class="mt-2"
          :label="t.places.note"
          :value="place.note"
          :save="(note) => put('note', { note })"
        />
        <p class="mt-2 flex flex-wrap items-center gap-x-4 pb-4">
          <span>{{ t.places.verified }}: {{ place.verified ?? t.places.never }}</span>
          <AppButton kind="quiet" @click="put('verified', { verified: clock.now.slice(0, 10) })">{{
            t.places.today
          }}</AppButton>
        </p>
      </details>
      <p class="border-t border-line pt-3 text-[0.95rem] text-soft">{{ t.places.mayRelease }}</p>
      <div class="mt-3 flex flex-wrap gap-3">
        <AppButton kind="primary" @click="open.close()">{{ t.places.close }}</AppButton>
        <AppButton @click="edit.remove(place.id)">{{ t.places.remove }}</AppButton>
      </div>
    </div>
  </AppDialog>
</template>
