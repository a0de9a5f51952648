<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import { putProduct, removeProduct, typeProduct } from '@/actions/cards'
import { stockLeft } from '@/core/cards'
import {
  DOSED_BY,
  PRODUCT_FORMS,
  TREATED_KINDS,
  type Crew,
  type Product,
  type ProductForm,
  type TreatedKind,
} from '@/core/domain'
import { fromSource, owned, roundIn } from '@/core/quantities'
import { useLogStore } from '@/data/logStore'
import { newId } from '@/data/newId'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import { formatFigures } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** What the crew treats its tanks with, as the label says it; what is left follows the log. */
const props = defineProps<{ crew: Crew }>()
const workspace = useWorkspaceStore()
const settings = useSettingsStore()
const log = useLogStore()
const left = computed(() => stockLeft(props.crew.products, log.all()))

function put(product: Product, what: string | null = null) {
  const { id } = props.crew
  return workspace.act(what === null ? putProduct(id, product) : typeProduct(id, product, what))
}
function remove({ id: product }: Product) {
  workspace.act(removeProduct(props.crew.id, product))
}
function toggle(product: Product, kind: TreatedKind) {
  const known = product.for
  const next = known.includes(kind) ? known.filter((one) => one !== kind) : [...known, kind]
  if (next.length > 0) put({ ...product, for: next })
}
function add() {
  put({
    id: newId('product'),
    name: t.products.newName,
    form: 'liquid',
    for: ['black'],
    dose: fromSource(60, 'assumed'),
    per: 'capacity',
    perLitres: fromSource(roundIn(150, settings.units.volume), 'assumed'),
    stock: fromSource(0, 'assumed'),
  })
}
</script>

<template>
  <div>
    <p class="text-soft">{{ t.products.hint }}</p>
    <ul>
      <li
        v-for="product in crew.products"
        :key="product.id"
        class="border-t border-line py-3 wrap-anywhere"
        :data-testid="`product-${product.id}`"
      >
        <div class="grid grid-cols-2 items-start gap-x-6 gap-y-3 sm:grid-cols-4">
          <TextField
            class="col-span-2"
            :label="t.products.name"
            :value="product.name"
            :save="(name) => put({ ...product, name }, 'name')"
          />
          <ChoiceField
            :label="t.products.form"
            :value="product.form"
            :options="PRODUCT_FORMS.map((value) => ({ value, label: t.products.forms[value] }))"
            @choose="put({ ...product, form: $event as ProductForm })"
          />
          <ChoiceField
            :label="t.products.per"
            :value="product.per"
            :options="DOSED_BY.map((value) => ({ value, label: t.products.pers[value] }))"
            @choose="put({ ...product, per: $event as Product['per'] })"
          />
          <QuantityField
            :label="t.products.dose[product.form]"
            :value="product.dose.value"
            dimension="number"
            :min="LIMITS.dose.min"
            :max="LIMITS.dose.max"
            :save="(value) => put({ ...product, dose: owned(value) }, 'dose')"
          />
          <QuantityField
            v-if="product.per !== 'each'"
            :label="t.products.forLitres"
            :value="product.perLitres.value"
            dimension="volume"
            :min="LIMITS.capacityL.min"
            :max="LIMITS.capacityL.max"
            :save="(value) => put({ ...product, perLitres: owned(value) }, 'litres')"
          />
          <QuantityField
            :label="t.products.stock[product.form]"
            :value="product.stock.value"
            dimension="number"
            :min="LIMITS.stock.min"
            :max="LIMITS.stock.max"
            :save="(value) => put({ ...product, stock: owned(value) }, 'stock')"
          />
          <fieldset class="col-span-2">
            <legend class="mb-1 text-[0.92rem] font-semibold text-soft">{{ t.products.into }}</legend>
            <div class="flex flex-wrap gap-2">
              <button
                v-for="kind in TREATED_KINDS"
                :key="kind"
                type="button"
                role="checkbox"
                :aria-checked="product.for.includes(kind)"
                class="min-h-11 border-2 px-3"
                :class="
                  product.for.includes(kind) ? 'border-ink bg-ink font-semibold text-paper' : 'border-line'
                "
                @click="toggle(product, kind)"
              >
                {{ t.kinds[kind] }}
              </button>
            </div>
          </fieldset>
        </div>
        <p class="mt-1 flex flex-wrap items-center justify-between gap-3">
          <span>{{
            t.products.left(t.doses[product.form](formatFigures(left.get(product.id) ?? 0), product.name))
          }}</span>
          <AppButton kind="quiet" :aria-label="t.rig.remove(product.name)" @click="remove(product)"
            ><Trash2 :size="20" aria-hidden="true"
          /></AppButton>
        </p>
      </li>
    </ul>
    <AppButton class="mt-2" @click="add">{{ t.products.add }}</AppButton>
  </div>
</template>
