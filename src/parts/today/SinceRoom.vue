<template>
  <!-- The room of what moved since yesterday: as many lines as it usually takes. -->
  <div class="min-h-[3.15rem]" aria-hidden="true" />
</template>
