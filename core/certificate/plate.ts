import { format, type UnitSystem } from '../quantity';
import { formatSize, GROUP_NAMES } from '../standards';
import { CONSTRUCTIONS, HAZARDS, ratingWords, type Valve } from '../valve';

export interface PlateLine {
  readonly label: string;
  readonly value: string;
}

/** The plate as paper shows it; what is not known says so. */
export function plateOf(valve: Valve, system: UnitSystem): PlateLine[] {
  const { medium } = valve;
  const unknown = 'not known';
  return [
    { label: 'Tag', value: valve.tag },
    { label: 'Serial', value: valve.serial ?? unknown },
    {
      label: 'Construction',
      value: `${CONSTRUCTIONS[valve.construction].name}, ${CONSTRUCTIONS[valve.construction].about}`,
    },
    {
      label: 'Size and rating',
      value: `${valve.nps === undefined ? unknown : formatSize({ nps: valve.nps })} · ${ratingWords(valve, system) ?? unknown}`,
    },
    {
      label: 'Body',
      value: bodyWords(valve) ?? unknown,
    },
    {
      label: 'Medium',
      value: medium
        ? [
            medium.name,
            medium.pressure && format(medium.pressure, system),
            medium.temperature && format(medium.temperature, system),
            ...medium.hazards.map((hazard) => HAZARDS[hazard].label),
          ]
            .filter(Boolean)
            .join(', ')
        : unknown,
    },
    { label: 'For', value: `${valve.customer}, ${valve.location}` },
  ];
}

const bodyWords = ({ group, iron }: Valve): string | undefined =>
  iron ?? (group && `${GROUP_NAMES[group]}, group ${group}`);
