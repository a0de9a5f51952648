<template>
  <!-- The room of a row of gauges: they come a frame after the count. -->
  <div class="min-h-[27rem]" data-anchor="level-errors" aria-hidden="true" />
</template>
