import { inject, ref, type InjectionKey, type Ref } from 'vue';
import { useKeptHere } from './kept-here';

/** The job and the step that drafts are kept for. */
export const STEP_DRAFTS: InjectionKey<string> = Symbol('drafts of a step');

/** Text that is half typed in a field of a step: it is there again after another page, another step or a reload. */
export function useDraft(field: string): Ref<string> {
  const step = inject(STEP_DRAFTS, undefined);
  return step === undefined ? ref('') : useKeptHere().text(() => `${step}/${field}`);
}
