<template>
  <main class="missing">
    <h1>There is nothing here</h1>
    <p>The address is wrong, or what it led to was deleted.</p>
    <RouterLink to="/">Go to your jobs</RouterLink>
  </main>
</template>

<style scoped>
.missing {
  max-width: 480px;
  margin: 15vh auto;
  padding: 0 20px;
}
</style>
