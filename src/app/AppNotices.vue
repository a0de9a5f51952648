<script setup lang="ts">
import { X } from '@lucide/vue'
import { useNoticeStore, type Notice } from '@/data/noticeStore'
import * as t from '@/texts/t'

/** What happened and is said in passing; it stays until it is put away or three newer ones have come. */
const notices = useNoticeStore()

function words(notice: Notice): string {
  switch (notice.kind) {
    case 'dropped': {
      const { fault, label, what } = notice
      const why = fault ? t.notices.noFit(t.faults[fault.code](fault)) : t.notices.gone
      return t.notices.dropped(t.edits.labels[label], what.join(', '), why)
    }
    case 'gave-way':
      return t.notices.gaveWay(notice.on, notice.off)
    case 'others-step':
      return t.notices.othersStep[notice.way](t.edits.labels[notice.label])
    case 'not-replayed':
      return t.notices.notReplayed[notice.way]
    case 'log-went':
      return t.notices.logWent(notice.stay, notice.entries)
    case 'logged':
      return t.notices.logged(notice.card, notice.tanks.join(', '))
    case 'orphans':
      return t.notices.orphans(notice.entries)
    case 'already-ended':
      return t.notices.alreadyEnded[notice.name]
    case 'not-loaded':
      return t.notices.notLoaded
  }
}
</script>

<template>
  <div
    class="pointer-events-none fixed inset-x-3 bottom-20 z-40 mx-auto grid max-w-xl gap-2 lg:bottom-6"
    role="status"
    aria-live="polite"
  >
    <div
      v-for="{ id, notice } in notices.shown"
      :key="id"
      class="pointer-events-auto flex items-start gap-3 border-2 border-ink bg-card py-2 pl-4"
      data-testid="notice"
    >
      <p class="grow py-2 font-semibold wrap-anywhere">{{ words(notice) }}</p>
      <slot :notice="notice" />
      <button
        type="button"
        class="grid h-11 w-11 shrink-0 place-items-center"
        :aria-label="t.notices.dismiss"
        @click="notices.dismiss(id)"
      >
        <X :size="20" aria-hidden="true" />
      </button>
    </div>
  </div>
</template>
