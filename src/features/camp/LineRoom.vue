<template>
  <!-- The room of one line of things to tap. -->
  <div class="min-h-11" aria-hidden="true" />
</template>
