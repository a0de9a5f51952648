<template>
  <div class="min-h-11 max-sm:w-full" aria-hidden="true" />
</template>
