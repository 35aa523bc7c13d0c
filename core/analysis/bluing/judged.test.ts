import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { photographBluedSeat } from '../../simulation';
import { ask } from '../../testing/ask';
import { JUDGED_SCENES } from '../../testing/blued-seat-scenes';

/** Common practice: a seat is passed on a closed line that was seen all the way round, never on a picture that cannot tell. */
describe('what a photograph of a blued seat is judged as (generated pictures)', () => {
  const documented = readFileSync(new URL('../../../docs/blued-seat-pictures.md', import.meta.url), 'utf8');
  it.each(JUDGED_SCENES.map(({ name, verdict, scene }) => [name, verdict, scene] as const))(
    '%s: %s, as the page in docs has it',
    (name, verdict, scene) => {
      const worked = ask('bluing.read', { picture: photographBluedSeat(scene), diameter: '3 in' });
      expect(worked.result['verdict']).toBe(verdict);
      expect(documented).toContain(`| ${name} | *${verdict}* |`);
    },
  );
});
