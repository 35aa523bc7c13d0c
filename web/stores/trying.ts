import { ref } from 'vue';
import { faultOf } from './fault';

/** Things asked of the server: whether an answer is waited for, and what went wrong with the last one, in words. */
export function useTrying() {
  const wrong = ref('');
  const busy = ref(false);
  /** What it answered, or undefined where it went wrong. */
  async function trying<T>(work: () => Promise<T>): Promise<T | undefined> {
    [wrong.value, busy.value] = ['', true];
    try {
      return await work();
    } catch (error) {
      wrong.value = faultOf(error);
      return undefined;
    } finally {
      busy.value = false;
    }
  }
  /** Whether it was done. */
  const done = async (work: () => Promise<unknown>): Promise<boolean> =>
    (await trying(() => work().then(() => true))) ?? false;
  return { wrong, busy, trying, done };
}
