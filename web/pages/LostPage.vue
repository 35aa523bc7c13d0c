<template>
  <div class="page">
    <h1>Nothing is kept here</h1>
    <p>The address is not one of this shop's. <router-link to="/">Back to the floor</router-link></p>
  </div>
</template>
