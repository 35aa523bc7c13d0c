import type { PartRole } from '../../valve';
import { stepName, type StepName } from '../relations';

export const slug = (part: PartRole): string => part.replaceAll(' ', '-').toLowerCase();

/** The step that orders a part, and the one that receives it: whatever puts the part on waits for that. */
export const orderOf = (part: PartRole): StepName => stepName('order', slug(part));
export const arrivalOf = (part: PartRole): StepName => stepName('arrive', slug(part));
