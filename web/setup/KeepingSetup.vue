<script setup lang="ts">
import type { SetupBackup } from '@dusk-wren/contract';
import BenchButton from '../parts/BenchButton.vue';
import BringIn from './BringIn.vue';
import { sayMinutes, sayMoment } from '../parts/dates';
import { useSetupBackups } from './setup-backups';

/** Whether the shop would survive a lost disk: the last whole back-up, those before it, and one now. */
const { view, wrong, isTaking, take } = useSetupBackups();
const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`;
const jumped = (seconds: number) =>
  `${seconds < 0 ? 'back' : 'on'} by ${sayMinutes(Math.max(1, Math.round(Math.abs(seconds) / 60)))}`;
const said = ({ file, bytes, failed }: SetupBackup) =>
  file === null || bytes === null ? `not taken: ${failed ?? ''}` : `${file}, ${megabytes(bytes)}`;
</script>

<template>
  <section v-if="view" class="keeping" aria-label="Keeping">
    <div class="head">
      <h2 v-if="view.lastGood">Last backed up {{ sayMoment(view.lastGood.endedAt) }}</h2>
      <h2 v-else>Never backed up</h2>
      <BenchButton v-if="view.folder" lamp :disabled="isTaking" lacking="the one being taken" @press="take">{{
        isTaking ? 'Backing up' : 'Back up now'
      }}</BenchButton>
    </div>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <p v-if="!view.folder" class="problem">
      This server takes no back-ups: a lost disk is a lost shop. Whoever runs it sets BACKUP_DIR to a folder
      on another disk (docs/running.md).
    </p>
    <p v-else-if="view.isOverdue" class="problem">
      It should be every {{ view.everyHours }} hours. See below what kept it, and tell whoever runs the
      server.
    </p>
    <p v-if="view.clockJump" class="problem">
      The server’s clock went {{ jumped(view.clockJump.bySeconds) }}, seen {{ sayMoment(view.clockJump.at) }}.
      What is stored is in order. Look at the time of the server: days of calibrations and moments on papers
      are by it.
    </p>
    <p v-if="view.folder" class="muted">
      Every {{ view.everyHours }} hours into {{ view.folder }} on the server, {{ view.keep }} kept,
      {{ view.isSealed ? 'sealed with a passphrase' : 'not sealed: whoever has the file reads everything' }}.
      Take one to another building now and then.
    </p>
    <ol class="happened">
      <li
        v-for="backup in view.backups"
        :key="backup.beganAt"
        class="row-flat"
        :class="{ bad: backup.failed }"
      >
        <b>{{ sayMoment(backup.endedAt) }}</b> <span>{{ said(backup) }}</span>
        <span v-if="backup.sha256" class="label muted sum" :title="backup.sha256"
          >SHA-256 {{ backup.sha256.slice(0, 12) }}…</span
        >
      </li>
    </ol>
    <BringIn />
  </section>
</template>

<style scoped>
.keeping {
  display: grid;
  gap: 8px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: center;
  justify-content: space-between;
}
.bad {
  color: var(--renew);
}
</style>
