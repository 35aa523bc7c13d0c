import { jobsOpened } from '@dusk-wren/contract';
import { ref } from 'vue';
import { call } from '../api/client';
import type { useTrying } from './trying';

interface OnValve {
  readonly valve: string;
  readonly tag: string;
}

/** Jobs opened several at once: what is asked twice is opened once, and what was left is told with why. */
export function useOpening(done: ReturnType<typeof useTrying>['done']) {
  const told = ref<{ opened: number; left: readonly { tag: string; why: string }[] }>();
  /** Ids of the commands, kept until they have been answered. */
  const commands = new Map<string, string>();
  const commandFor = (valve: string) => {
    const command = commands.get(valve) ?? crypto.randomUUID();
    commands.set(valve, command);
    return command;
  };
  const open = <T extends OnValve>(path: string, jobs: readonly T[], after: () => Promise<unknown>) =>
    done(async () => {
      const valves = jobs.map(({ tag: _, ...job }) => ({ ...job, commandId: commandFor(job.valve) }));
      const answer = await call(path, jobsOpened, { method: 'POST', body: { valves } });
      const tags = new Map(jobs.map(({ valve, tag }) => [valve, tag]));
      told.value = {
        opened: answer.opened.length,
        left: answer.left.map(({ valve, why }) => ({ tag: tags.get(valve) ?? '', why })),
      };
      for (const { valve } of answer.opened) commands.delete(valve);
      await after();
    });
  return { told, open };
}
