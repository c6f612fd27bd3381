<template>
  <section class="sheet">
    <h1>There is nothing at this address</h1>
    <p class="quiet">It may have been mistyped, or what it showed has moved.</p>
    <p><RouterLink to="/clients">All clients</RouterLink></p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 12px;
  max-width: 560px;
}
</style>
