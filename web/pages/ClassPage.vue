<script setup lang="ts">
import ClassSkills from '../drill/class/ClassSkills.vue';
import { useClass } from '../drill/class/class';
import LosingList from '../drill/class/LosingList.vue';
import SentTasks from '../drill/class/SentTasks.vue';
import TaskForm from '../drill/class/TaskForm.vue';
import WorkRules from '../drill/class/WorkRules.vue';
import DrillHeading from '../drill/DrillHeading.vue';

/** Everybody who learns here, for whoever teaches. */
const { view, error, wrong, busy, send, takeBack, ask, witness, unwitness } = useClass();
</script>

<template>
  <div class="page class-page">
    <DrillHeading title="The class" />
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <template v-if="view">
      <section aria-labelledby="who-can-what">
        <h2 id="who-can-what">Who can what</h2>
        <ClassSkills :people="view.people" />
        <a class="way label" href="/api/drills/class.csv" download>Everything that everybody did (CSV)</a>
      </section>
      <section aria-labelledby="where-points-go">
        <h2 id="where-points-go">Where points are lost</h2>
        <LosingList :losing="view.losing" />
      </section>
      <section aria-labelledby="put-together">
        <h2 id="put-together">Send an exercise</h2>
        <TaskForm :people="view.people" :busy="busy" @send="send" />
        <SentTasks :tasks="view.tasks" @back="takeBack" />
      </section>
      <section aria-labelledby="before-work">
        <h2 id="before-work">Before somebody is planned for work</h2>
        <WorkRules :view="view" :busy="busy" @ask="ask" @witness="witness" @forget="unwitness" />
      </section>
    </template>
  </div>
</template>

<style scoped>
.class-page,
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 20px;
  align-content: start;
}
section {
  gap: 10px;
  justify-items: start;
}
</style>
