<script setup lang="ts">
import { computed, useId } from 'vue'
import type { OutletState } from '@/core/cards'
import * as t from '@/texts/t'
import WasteHatch from './WasteHatch.vue'
import { BASE, PAPER, outletShape, outletWords } from './outletShape'

/** The outlet of this rig as its valves, cap and hose stand at a step; drawn from the same state that its words come from. */
const props = defineProps<{ state: OutletState; isPrinted?: boolean }>()
const WIDTH = 372
const shape = computed(() => outletShape(props.state, WIDTH))
const said = computed(() => outletWords(props.state))
const hatch = `outlet-${useId()}`
const { tankTop, tankFoot, valve, run, foot } = BASE
/** Half the bore of a pipe as it is drawn. */
const R = 6
</script>

<template>
  <figure class="max-w-[30rem]" :style="isPrinted ? PAPER : undefined" data-testid="outlet-picture">
    <svg
      :viewBox="`0 0 ${shape.width} ${shape.height}`"
      class="w-full"
      role="img"
      :aria-label="said"
      fill="none"
      stroke="var(--ink)"
      stroke-width="2.5"
    >
      <defs>
        <WasteHatch :id="hatch" />
      </defs>
      <!-- The pipe under the tanks, and what runs in it. -->
      <g>
        <path :d="`M${shape.from} ${run}H${shape.stub}`" :stroke-width="R * 2 + 5" />
        <path :d="`M${shape.from} ${run}H${shape.stub}`" :stroke-width="R * 2" stroke="var(--card)" />
        <template v-for="tank in shape.tanks" :key="tank.id">
          <path :d="`M${tank.centre} ${tankFoot}V${run + R + 2.5}`" :stroke-width="R * 2 + 5" />
          <path :d="`M${tank.centre} ${tankFoot}V${run + R}`" :stroke-width="R * 2" stroke="var(--card)" />
        </template>
        <g v-if="shape.flow">
          <path
            :d="`M${shape.flow.from - R} ${run}H${shape.flow.to + R}`"
            :stroke-width="R * 2"
            stroke="var(--grass)"
          />
          <path
            :d="`M${shape.flow.from} ${run}H${shape.flow.to}`"
            stroke-width="3"
            stroke-dasharray="3 7"
            stroke="var(--grass-ink)"
          />
          <template v-for="tank in shape.tanks" :key="tank.id">
            <template v-if="tank.runs || tank.id === state.over">
              <path
                :d="`M${tank.centre} ${tankFoot}V${run + R}`"
                :stroke-width="R * 2"
                stroke="var(--grass)"
              />
              <path
                :d="`M${tank.centre} ${tankFoot}V${run}`"
                stroke-width="3"
                stroke-dasharray="3 7"
                stroke="var(--grass-ink)"
              />
            </template>
          </template>
        </g>
      </g>
      <!-- Tanks, each with its valve: the bar stands across the pipe where it is shut. -->
      <g v-for="tank in shape.tanks" :key="tank.id">
        <rect :x="tank.x" :y="tankTop" :width="tank.width" :height="tankFoot - tankTop" fill="var(--card)" />
        <rect
          v-if="tank.isFull"
          :x="tank.x"
          :y="tankTop + 34"
          :width="tank.width"
          :height="tankFoot - tankTop - 34"
          :fill="`url(#${hatch})`"
        />
        <text
          v-for="(line, k) in tank.name"
          :key="k"
          :x="tank.centre"
          :y="tankTop + 15 + k * 15"
          text-anchor="middle"
          fill="var(--ink)"
          stroke="none"
          class="text-[14px] font-bold"
        >
          {{ line }}
        </text>
        <path v-if="!tank.isOpen" :d="`M${tank.centre - 13} ${valve}H${tank.centre + 13}`" stroke-width="6" />
        <path
          :d="
            tank.isOpen
              ? `M${tank.centre + R + 2} ${valve}h20m0 -9v18`
              : `M${tank.centre + 13} ${valve}h6m0 -9v18`
          "
          stroke-width="4"
        />
        <text
          :x="tank.centre + (tank.isOpen ? 34 : 25)"
          :y="valve + 5"
          fill="var(--ink)"
          stroke="none"
          class="text-[14px] font-semibold"
        >
          {{ tank.isOpen ? t.outlet.open : t.outlet.shut }}
        </text>
      </g>
      <!-- The valve behind all of them. -->
      <g v-if="state.end !== 'none'">
        <path v-if="state.end === 'shut'" :d="`M${shape.endX} ${run - 13}v26`" stroke-width="6" />
        <path
          :d="
            state.end === 'open'
              ? `M${shape.endX} ${run - R - 2}v-20m-9 0h18`
              : `M${shape.endX} ${run - 13}v-6m-9 0h18`
          "
          stroke-width="4"
        />
        <text :x="shape.endX + 14" :y="run - 34" fill="var(--soft)" stroke="none" class="text-[13px]">
          {{ t.outlet.end }}
        </text>
        <text
          :x="shape.endX + 14"
          :y="run - 19"
          fill="var(--ink)"
          stroke="none"
          class="text-[14px] font-semibold"
        >
          {{ state.end === 'open' ? t.outlet.open : t.outlet.shut }}
        </text>
      </g>
      <!-- Capped, open, or a hose that leads somewhere. -->
      <template v-if="!state.hose">
        <path v-if="state.isCapped" :d="`M${shape.stub + 3} ${run - 14}v28`" stroke-width="8" />
        <text
          :x="shape.stub + 12"
          :y="run + 24"
          text-anchor="middle"
          fill="var(--ink)"
          stroke="none"
          class="text-[14px] font-semibold"
        >
          {{ state.isCapped ? t.outlet.cap : t.outlet.capOff }}
        </text>
      </template>
      <g v-else>
        <path :d="`M${shape.stub} ${run}h12q14 0 14 14V${foot - 24}`" :stroke-width="R * 2 + 5" />
        <path
          :d="`M${shape.stub} ${run}h12q14 0 14 14V${foot - 24}`"
          :stroke-width="R * 2"
          :stroke="state.runs.length > 0 ? 'var(--grass)' : 'var(--card)'"
        />
        <path
          v-if="state.runs.length > 0"
          :d="`M${shape.stub} ${run}h12q14 0 14 14V${foot - 24}`"
          stroke-width="3"
          stroke-dasharray="3 7"
          stroke="var(--grass-ink)"
        />
        <template v-if="state.pump !== 'none'">
          <circle :cx="shape.stub + 26" :cy="run + 36" r="11" fill="var(--card)" />
          <text
            :x="shape.stub + 8"
            :y="run + 41"
            text-anchor="end"
            fill="var(--ink)"
            stroke="none"
            class="text-[14px] font-semibold"
          >
            {{ state.pump === 'on' ? t.outlet.pumpOn : t.outlet.pumpOff }}
          </text>
        </template>
        <template v-if="state.hose.into === 'drain'">
          <path :d="`M${shape.stub - 14} ${foot}H${shape.stub + 66}`" />
          <rect :x="shape.stub + 6" :y="foot - 22" width="40" height="22" fill="var(--card)" />
        </template>
        <template v-else-if="state.hose.into === 'tote'">
          <rect :x="shape.stub - 22" :y="foot - 26" width="92" height="24" fill="var(--card)" />
          <circle :cx="shape.stub - 6" :cy="foot + 2" r="6" fill="var(--card)" />
          <circle :cx="shape.stub + 54" :cy="foot + 2" r="6" fill="var(--card)" />
        </template>
        <text
          :x="shape.stub - (state.hose.into === 'tote' ? 30 : 2)"
          :y="foot - 6"
          text-anchor="end"
          fill="var(--ink)"
          stroke="none"
          class="text-[14px] font-semibold"
        >
          {{ state.hose.into === null ? t.outlet.loose : t.outlet[state.hose.into] }}
        </text>
      </g>
      <!-- A rinse hose comes in at the top. -->
      <g v-if="state.rinse">
        <template v-for="tank in shape.tanks" :key="tank.id">
          <template v-if="tank.id === state.rinse.tank">
            <path :d="`M${tank.x + tank.width - 12} ${tankTop}V12H${shape.width}`" stroke-width="4" />
            <path
              v-if="state.rinse.isOn"
              :d="`M${tank.x + tank.width - 24} ${tankTop + 12}l-5 10M${tank.x + tank.width - 12} ${tankTop + 12}v12M${tank.x + tank.width - 2} ${tankTop + 12}l-4 10`"
              stroke="var(--water)"
              stroke-width="3"
            />
            <text
              :x="shape.width - 4"
              y="28"
              text-anchor="end"
              fill="var(--soft)"
              stroke="none"
              class="text-[13px]"
            >
              {{ t.outlet.rinse }}
            </text>
          </template>
        </template>
      </g>
    </svg>
  </figure>
</template>
