/** Hazards that a medium brings to whoever opens the valve. The site's data sheet and permit always win. */
export const HAZARDS = {
  hot: { label: 'hot, stored pressure', guard: 'Let it cool below 50 °C (120 °F); gloves and face shield.' },
  flammable: { label: 'flammable', guard: 'No ignition near; gas test before the joint is cracked.' },
  h2s: {
    label: 'hydrogen sulphide',
    guard: 'Breathing apparatus at any opened joint; never alone; never rely on smell.',
  },
  corrosive: { label: 'corrosive', guard: 'Face shield, suit and gloves by the data sheet; water at hand.' },
  oxygen: { label: 'oxygen service', guard: 'No oil or grease at all, on parts, tools or hands.' },
} as const;

export type Hazard = keyof typeof HAZARDS;
export const HAZARD_IDS = [
  'hot',
  'flammable',
  'h2s',
  'corrosive',
  'oxygen',
] as const satisfies readonly Hazard[];
