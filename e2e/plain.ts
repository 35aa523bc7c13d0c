import { commandView, staleView } from '@dusk-wren/contract';
import { EMPTY_JOB, fold, type JobState } from '@dusk-wren/core/job';
import { plan, type PlannedStep } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { plainly, taskKind } from '@dusk-wren/core/task';
import { plainHands } from '@dusk-wren/core/testing/plain-hands';
import { expect, type Page } from '@playwright/test';
import { jobAt, jobPath, post, sessionOf } from './api';
import { title } from './bench';

/** What this shop's globes measure; anything else is taken as its own example says. */
const MEASURED: Readonly<Record<string, string>> = {
  'stem diameter': '1 1/8 in',
  'smallest in the packing': '1 1/8 in',
  'box bore': '1 7/8 in',
  'box depth': '3 in',
  'gland entry': '5/16 in',
};

/** Every lock has a number of its own. */
let locksHung = 0;

/**
 * What is not looked at in a journey is done as somebody else's screen would do it: plainly, by commands to the server. The
 * page hears of it and follows. What is looked at is done on the screen, by the helpers of `bench` and `by-screen`.
 */
class Job {
  private constructor(
    private readonly page: Page,
    private state: JobState,
    private readonly session: Awaited<ReturnType<typeof sessionOf>>,
  ) {}

  static async of(page: Page): Promise<Job> {
    const { origin } = new URL(page.url());
    const address = `${origin}${jobPath(page)}`;
    const job = new Job(page, EMPTY_JOB, await sessionOf(page.request, origin));
    // What is on its way, from the page or to it, arrives first: both have the same step in hand then.
    await expect(async () => {
      job.state = must(fold((await jobAt(page, address)).entries));
      expect(await title(page).innerText()).toBe(job.inHand().title);
    }).toPass({ timeout: 30_000 });
    return job;
  }

  inHand(): PlannedStep {
    const found = must(plan(this.state))?.inHand;
    if (!found) throw new Error('nothing is in hand');
    return found;
  }

  /** Does the step in hand in its plainest way, or hears of what the page itself had still on its way. */
  async work(): Promise<void> {
    const { id, task, title: words } = this.inHand();
    if (taskKind(task).signed) throw new Error(`“${words}” has to be done on purpose`);
    for (let i = 0; i < 240; i++) {
      for (const { by: _whoever, ...command } of plainly(task, this.handsAt(id)))
        if (!(await this.send(command))) return;
      if (must(plan(this.state))?.steps.find((step) => step.id === id)?.status === 'done') return;
    }
    throw new Error(`“${words}” is never done`);
  }

  private handsAt(step: string) {
    const valve = must(plan(this.state))?.valve;
    if (!valve) throw new Error('there is no job here');
    return plainHands(step, this.state, valve, {
      lock: () => ({ lock: `L ${++locksHung}`, tag: 'T 1' }),
      reading: ({ what, example }) => MEASURED[what] ?? example,
    });
  }

  /** Whether it was taken; the page may have been faster. */
  private async send(command: unknown): Promise<boolean> {
    const { origin } = new URL(this.page.url());
    const { csrf, person } = this.session;
    const path = `/api${jobPath(this.page)}/commands`;
    const body = { baseVersion: this.state.version, commandId: crypto.randomUUID(), command };
    const answer = await post(this.page.request, origin, csrf, path, body, person?.id);
    const told: unknown = await answer.json();
    const stale = answer.status() === 409 ? staleView.safeParse(told).data : undefined;
    expect(stale ? 200 : answer.status(), JSON.stringify(told)).toBe(200);
    this.state = must(fold(stale?.missed ?? commandView.parse(told).entries, this.state));
    return stale === undefined;
  }
}

/** Does the step in hand plainly; the page shows the next one. */
export async function workPlainly(page: Page): Promise<void> {
  const before = await title(page).innerText();
  const job = await Job.of(page);
  await job.work();
  await expect(title(page)).not.toHaveText(before);
}

/** Works plainly until a step with this title is in hand, and the page shows it. */
export async function workTo(page: Page, wanted: string | RegExp): Promise<void> {
  const job = await Job.of(page);
  for (let i = 0; i < 160; i++) {
    const { title: now } = job.inHand();
    if (typeof wanted === 'string' ? now === wanted : wanted.test(now)) {
      await expect(title(page)).toHaveText(wanted);
      // Whoever turns to the step has let go of whatever was pressed before.
      await title(page).click();
      return;
    }
    await job.work();
  }
  throw new Error(`never came to ${String(wanted)}`);
}
