<template>
  <!-- The room of the line, so that nothing moves when it comes. -->
  <div class="min-h-[7.6rem] sm:min-h-[4.6rem]" aria-hidden="true" />
</template>
