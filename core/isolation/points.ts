import { closureOf, moverOf, type Valve } from '../valve';
import { SIDES, type Line, type Side } from './line';
import type { EnergyKind } from './energies';

/** One thing to shut, open, switch off or hold, in its place in the order. */
export interface IsolationPoint {
  readonly id: string;
  readonly title: string;
  readonly why: string;
  readonly caution?: string;
  readonly minutes: number;
  /** Hung with a lock and a tag of somebody's own. */
  readonly locked: boolean;
  /** How it is put back; absent where the rebuilt valve's own set-up does that. */
  readonly restore?: { readonly title: string; readonly why: string };
  /** Energies that this lets out or shuts away. */
  readonly for: readonly EnergyKind[];
}

const pressureOf = (side: Side): EnergyKind => `${side} pressure`;

/**
 * Everything to do before zero can be proved, in order: process by its other way, blocks shut, the valve placed while it
 * can still be moved, both sides vented, then air, power and weight (common practice; the site's permit wins).
 */
export function pointsOf(valve: Valve, line: Line): IsolationPoint[] {
  return [
    ...(line.bypass ? [BYPASS] : []),
    ...(closureOf(valve.features).onPump ? [PUMP] : []),
    ...SIDES.flatMap((side) => shut(side, line)),
    ...place(valve, line),
    ...SIDES.flatMap((side) => vent(side, line)),
    ...services(valve, line),
  ];
}

/** Between a pump and the valve that protects it stands no block: the pump itself is what is locked out. */
const PUMP: IsolationPoint = {
  id: 'pump',
  title: 'Stop the pump; lock out and tag its drive',
  why: 'A pump that starts against a closed or opened valve bursts something: no block stands between them.',
  caution: 'At the breaker, by a person qualified for it; then try the start button.',
  minutes: 10,
  locked: true,
  for: [],
  restore: {
    title: 'Lock off, pump given back',
    why: 'Last of all: everything is closed and everybody clear.',
  },
};

const BYPASS: IsolationPoint = {
  id: 'bypass',
  title: 'Hand the process to the bypass',
  why: 'The process runs on by hand; the bypass stays tagged so that nobody shuts it in surprise.',
  caution: 'With the operator, and slowly.',
  minutes: 5,
  locked: false,
  for: [],
  restore: {
    title: 'Hand the process back from the bypass',
    why: 'Slowly, with the operator: then the bypass is shut.',
  },
};

function shut(side: Side, line: Line): IsolationPoint[] {
  const away = [pressureOf(side)];
  switch (line[side].shutBy) {
    case 'open end':
      return [];
    case 'line shut down':
      return [
        {
          id: `shut-down.${side}`,
          title: `Have the ${side} line shut down and locked`,
          why: 'No block valve stands on this side: only the operator can take its pressure away.',
          minutes: 20,
          locked: true,
          for: away,
          restore: { title: `Give the ${side} line back to the operator`, why: 'Their lock comes off last.' },
        },
      ];
    case 'block valve':
      return [block(`block.${side}`, `${side} block valve`, away)];
    case 'double block and bleed':
      return [
        block(`block.${side}`, `outer ${side} block valve`, away),
        block(`block-2.${side}`, `inner ${side} block valve`, away),
        {
          id: `bleed.${side}`,
          title: `Open the bleed between the ${side} blocks`,
          why: 'What the outer block passes goes out here, not into the valve.',
          caution: 'Stand aside of the bleed; lead it to a safe place.',
          minutes: 3,
          locked: true,
          for: away,
          restore: {
            title: `Shut the bleed between the ${side} blocks`,
            why: 'Before either block is opened.',
          },
        },
      ];
  }
}

function block(id: string, name: string, away: readonly EnergyKind[]): IsolationPoint {
  return {
    id,
    title: `Shut, lock and tag the ${name}`,
    why: 'Nobody may open what you rely on: your own lock, your own key.',
    minutes: 6,
    locked: true,
    for: away,
    restore: { title: `Lock off, open the ${name}`, why: 'Slowly: by the one whose lock it is.' },
  };
}

function vent(side: Side, line: Line): IsolationPoint[] {
  if (line[side].shutBy === 'open end') return [];
  return [
    {
      id: `vent.${side}`,
      title: `Open the ${side} vent and leave it open`,
      why: 'Both sides to zero: pressure stands above and below what closes.',
      caution: 'Slowly, standing aside; lead it to a safe place.',
      minutes: 8,
      locked: false,
      for: [pressureOf(side)],
      restore: { title: `Shut and plug the ${side} vent`, why: 'Before any block is opened.' },
    },
  ];
}

/** How the valve stands so that nothing stays trapped in it: by construction, while it can still be moved. */
function place({ features }: Valve, line: Line): IsolationPoint[] {
  const { isolatedAs } = closureOf(features);
  if (isolatedAs === 'half open')
    return [
      {
        id: 'half-open',
        title: 'Valve half open',
        why: 'Half open, its cavity drains to both sides: no pressure is trapped in it.',
        caution: 'A cavity left shut holds line pressure after both sides read zero.',
        minutes: 2,
        locked: false,
        for: ['cavity pressure'],
      },
    ];
  if (isolatedAs === undefined) return [];
  return [
    {
      id: 'body-bleed',
      title: `Bleed the body through the ${line.bodyVent ? 'bonnet grease fitting' : 'nearest body plug'}`,
      why: 'Cap off, then unseat its check with the bleed tool until nothing comes.',
      caution: 'The body holds full pressure between the gates. Stand aside of the fitting; point it away.',
      minutes: 10,
      locked: false,
      for: ['cavity pressure'],
      restore: { title: 'Cap the body fitting', why: 'Its check seats again; the cap is the second seal.' },
    },
    {
      id: 'close',
      title: 'Close the valve fully',
      why: 'Only after the bleed: the internals then come up with the bonnet.',
      minutes: 3,
      locked: false,
      for: [],
    },
  ];
}

function services({ features }: Valve, line: Line): IsolationPoint[] {
  return [
    ...(line.air
      ? [
          {
            id: 'air',
            title: 'Shut, lock and vent the supply air',
            why: 'Air that comes back moves the valve with somebody’s hand in it.',
            caution: 'The valve moves as its air goes: fingers out of yoke and lever.',
            minutes: 5,
            locked: true,
            for: ['supply air'] as const,
            restore: { title: 'Lock off, supply air on', why: 'Fingers out first: the valve moves.' },
          },
        ]
      : []),
    ...(line.signal === 'pneumatic'
      ? [
          {
            id: 'signal',
            title: 'Take the signal line off and vent it',
            why: 'A signal that comes back moves the valve too.',
            minutes: 3,
            locked: false,
            for: ['signal air'] as const,
            restore: { title: 'Signal line on again', why: 'Tight, and without a leak by soap.' },
          },
        ]
      : []),
    ...(line.power || line.signal === 'electric'
      ? [
          {
            id: 'power',
            title: 'Power off: lock and tag its switch',
            why: 'Coil, positioner and switches are handled next.',
            caution: 'A person qualified for it proves the circuit dead.',
            minutes: 5,
            locked: true,
            for: ['electrical'] as const,
            restore: { title: 'Lock off, power on', why: 'By the person qualified for it.' },
          },
        ]
      : []),
    ...(moverOf(features).weight
      ? [
          {
            id: 'weight',
            title: 'Block up the lever, or take the weight off',
            why: 'A weight that drops shuts the valve on a hand.',
            minutes: 5,
            locked: false,
            for: ['weight'] as const,
          },
        ]
      : []),
  ];
}
