<template>
  <main id="work" class="lost">
    <h1>There is nothing at this address</h1>
    <p>The joint may have been taken away, or it stands on another bench.</p>
    <v-btn class="go" :to="{ name: 'start' }">Go to the build</v-btn>
  </main>
</template>

<style scoped>
.lost {
  padding: 40px 28px;
  display: grid;
  gap: 14px;
  justify-items: start;
}
</style>
