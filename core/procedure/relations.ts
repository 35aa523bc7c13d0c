/**
 * What may be waited for as a whole: whoever waits for a milestone waits for every step that gives it. Each is given by
 * some step and waited for by another; a test holds that over all fragments.
 */
export const MILESTONES = [
  'received',
  'asked',
  'diagnosed',
  'traced',
  'isolated',
  'vented',
  'marked',
  'settings noted',
  'wheel nut slack',
  'gland loose',
  'lever off',
  'blind head off',
  'actuator off',
  'positioner off',
  'bonnet lifted',
  'bonnet off',
  'wedge marked',
  'stem out',
  'stripped',
  'clean to inspect',
  'box measured',
  'inspected',
  'seat cut',
  'stem repaired',
  'bushing in',
  'repaired',
  'looked at again',
  'clean to close',
  'wedge sided',
  'actuator ready',
  'stem ready',
  'trim in',
  'plug in',
  'closed',
  'packed',
  'relay together',
  'packing out',
  'rebuilt',
  'gland set',
  'bench set',
  'set up',
  'seat tested',
  'tests',
  'proved in service',
  'tested',
  'back in line',
  'restored',
] as const;
export type Milestone = (typeof MILESTONES)[number];

class Name {
  /** Nothing that merely looks like a name is one. */
  protected readonly made = true;

  constructor(
    readonly base: string,
    /** Which of several alike: a side, a part, a point. */
    readonly of: string | undefined,
    /** Which time round, where it is done until it is right. */
    readonly round: number | undefined,
  ) {}
}

/** A step by name. The fragment that owns the step makes its name, with `stepName`; whoever waits for it imports it. */
export type StepName = Name;

export const stepName = (base: string, of?: string, round?: number): StepName => new Name(base, of, round);

/** Waited for where it is on the plan at all. */
export interface IfThere {
  readonly ifThere: StepName;
}

export const ifThere = (step: StepName): IfThere => ({ ifThere: step });

/** Waited for as it was given at the opening before. */
export interface LastTime {
  readonly lastTime: Milestone;
}

export const lastTime = (milestone: Milestone): LastTime => ({ lastTime: milestone });

/** What a step waits for: all that gives a milestone, a step that is always there with it, or one that may be. */
export type Relation = Milestone | StepName | IfThere | LastTime;

export const isStepName = (relation: Relation): relation is StepName => relation instanceof Name;

/** A step's id in plan and log: `repair.blue.upper#2@3` is round 2 on the upper seat at the third opening. */
export function spelt({ base, of, round }: StepName, opening: number): string {
  const which = of === undefined ? '' : `.${of}`;
  const again = round === undefined ? '' : `#${round}`;
  return `${base}${which}${again}${opening === 1 ? '' : `@${opening}`}`;
}
