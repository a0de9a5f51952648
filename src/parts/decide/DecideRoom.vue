<template>
  <!-- The room of the line, so that nothing moves when it comes. -->
  <div class="min-h-[7rem] sm:min-h-[3.6rem]" aria-hidden="true" />
</template>
