<template>
  <div class="min-h-[21rem]" aria-hidden="true" />
</template>
