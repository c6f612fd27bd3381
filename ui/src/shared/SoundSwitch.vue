<script setup lang="ts">
import SwitchButton from './SwitchButton.vue'
import { soundOn } from './sound'
</script>

<template>
  <SwitchButton v-model="soundOn" on="Sound on" off="Sound off">
    <path class="full" d="M4 9.5h3.5L12 6v12l-4.5-3.5H4z" />
    <path v-if="soundOn" d="M15 9.2a4 4 0 0 1 0 5.6M17.6 6.8a7.4 7.4 0 0 1 0 10.4" />
    <path v-else d="M15.5 9.5l5 5m0-5l-5 5" />
  </SwitchButton>
</template>
