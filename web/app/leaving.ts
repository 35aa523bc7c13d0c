import { useQueryCache } from '@pinia/colada';
import { useIdle, useOnline, useTimeoutFn } from '@vueuse/core';
import { computed, watch } from 'vue';
import { useRouter } from 'vue-router';
import { useBeingRead } from '../stores/being-read';
import { useJobOnScreen } from '../stores/job-on-screen';
import { useSession } from '../stores/session';

/** Leaving a screen: what is on it goes with whoever leaves, and who comes next finds the job that is in hand. */
export function useLeaving() {
  const session = useSession();
  const router = useRouter();
  const cache = useQueryCache();
  const job = useJobOnScreen();

  async function leave(query: Readonly<Record<string, string>> = {}): Promise<void> {
    const told = session.signOut();
    await router.push({ path: '/sign-in', query: { to: router.currentRoute.value.fullPath, ...query } });
    job.close();
    for (const entry of cache.getEntries()) cache.remove(entry);
    await told;
  }
  return leave;
}

const MINUTE = 60_000;

/**
 * A screen that nobody touched for as long as the shop says is left by itself. Not while an instrument is read on it, and
 * not without a connection: nobody could sign in again.
 */
export function useIdleLock(): void {
  const session = useSession();
  const leave = useLeaving();
  const reading = useBeingRead();
  const job = useJobOnScreen();
  const online = useOnline();
  const isLost = computed(() => !online.value || job.isCutOff);
  watch(
    () => session.lockMinutes,
    (minutes, _before, onCleanup) => {
      if (minutes === 0) return;
      const { idle, stop } = useIdle(minutes * MINUTE);
      const isLeft = computed(() => idle.value && session.person !== null && !reading.some && !isLost.value);
      async function lock(): Promise<void> {
        const who = session.person;
        // Who cannot be asked for a PIN again is not locked out: not yet.
        const isThere = await session.load().then(
          () => true,
          () => false,
        );
        if (!isLeft.value || !who) return;
        if (isThere) await leave({ locked: who.id });
        else again.start();
      }
      const again = useTimeoutFn(lock, MINUTE, { immediate: false });
      const unwatch = watch(isLeft, (left) => (left ? void lock() : again.stop()));
      onCleanup(() => {
        unwatch();
        again.stop();
        stop();
      });
    },
    { immediate: true },
  );
}
