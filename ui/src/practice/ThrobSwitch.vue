<script setup lang="ts">
import SwitchButton from '../shared/SwitchButton.vue'
import { throbOn } from './throb'
</script>

<template>
  <SwitchButton v-model="throbOn" on="Throb on" off="Throb off">
    <circle class="full" cx="12" cy="12" :r="throbOn ? 5 : 3" />
    <circle v-if="throbOn" cx="12" cy="12" r="9" />
  </SwitchButton>
</template>
