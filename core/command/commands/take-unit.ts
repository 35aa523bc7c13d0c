import type { BodyOf } from '../../job';
import { unitTaken } from '../../job/events/unit-taken';
import { ok, refuse } from '../../problem';
import { unitsFor, valveKey } from '../../valve';
import { defineCommand } from '../define-command';
import { NOT_KNOWN_HERE, type UnitInShop } from '../edge';

/** A unit is taken from the shelf for this valve. It stands there, fits, and is given out once. */
export const takeUnit = defineCommand({
  kind: 'take-unit',
  body: unitTaken.body,
  decide: (body, { plan, state, unit }) => {
    const { valve } = plan;
    if (!unitsFor(valve).includes(body.kind))
      return refuse({ code: 'unit.does-not-fit', unit: body.kind, valve: valve.tag });
    const taken = state.records['unit-taken'].find((entry) => entry.body.kind === body.kind);
    if (taken) return refuse({ code: 'unit.already-taken', unit: body.kind, serial: taken.body.serial });
    const found = unit(body.unit);
    if (found === NOT_KNOWN_HERE || isTheOne(found, body, valveKey(valve)))
      return ok([{ kind: 'unit-taken', body }]);
    return refuse({ code: 'unit.not-on-shelf', unit: body.kind, serial: body.serial });
  },
});

const isTheOne = (
  found: UnitInShop | undefined,
  { kind, serial }: BodyOf<'unit-taken'>,
  key: string,
): boolean => found?.onShelf === true && found.kind === kind && found.serial === serial && found.key === key;
