import { z } from 'zod';
import { ok, type Result } from '../../problem';
import { HAZARD_PRACTICE, HAZARDOUS_MEDIA, MEDIUM_HAZARDS } from '../../standards';
import { choiceField } from '../frame/field';
import { line } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  medium: choiceField(
    HAZARDOUS_MEDIA,
    { label: 'Medium' },
    {
      h2s: 'hydrogen sulphide',
      'sour gas': 'hydrogen sulphide',
      gas: 'natural gas',
      co2: 'carbon dioxide',
      co: 'carbon monoxide',
      so2: 'sulphur dioxide',
    },
  ),
});

export interface MediumHazardAnswer {
  hazards: string[];
  guards: string[];
  limits: string[];
}

/**
 * What a medium does to whoever opens the valve, what guards against it, and its exposure limits.
 * Errors: a medium that is not listed: read its safety data sheet. Source: common practice; ACGIH, OSHA and NIOSH for
 * limits, from memory. Example: hydrogen sulphide → breathing apparatus; NIOSH IDLH 100 ppm.
 */
export const mediumHazard: Working<typeof input, MediumHazardAnswer> = {
  id: 'medium.hazard',
  title: 'Hazards of a medium',
  asks: ['h2s', 'hydrogen sulphide', 'hazard', 'ppe', 'gas mask', 'medium', 'safety', 'ppm'],
  meaning: 'What the medium can do to you, and what to wear and do against it.',
  input,
  results: { hazards: 'What it does', guards: 'Against it', limits: 'Exposure limits' },
  source: HAZARD_PRACTICE,
  work: ({ medium }): Result<Worked<MediumHazardAnswer>> => {
    const { hazards, guards, limits } = MEDIUM_HAZARDS[medium];
    return ok({
      result: { hazards: [...hazards], guards: [...guards], limits: [...limits] },
      steps: hazards.map((hazard, i) => line(`Hazard ${i + 1}`, medium, '', hazard)),
      notes: ['The safety data sheet, the site’s permit and local law come first.'],
      source: HAZARD_PRACTICE,
    });
  },
};
