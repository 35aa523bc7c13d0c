import { unitTaken } from '../../job/events/unit-taken';
import { ok, refuse } from '../../problem';
import { unitsFor } from '../../valve';
import { defineCommand } from '../define-command';

/** A unit is taken from the shelf for this valve. The server sees that it stands there and gives it out once. */
export const takeUnit = defineCommand({
  kind: 'take-unit',
  body: unitTaken.body,
  decide: (body, { plan, state }) => {
    const { valve } = plan;
    if (!unitsFor(valve).includes(body.kind))
      return refuse({ code: 'unit.does-not-fit', unit: body.kind, valve: valve.tag });
    const taken = state.records['unit-taken'].find((entry) => entry.body.kind === body.kind);
    if (taken) return refuse({ code: 'unit.already-taken', unit: body.kind, serial: taken.body.serial });
    return ok([{ kind: 'unit-taken', body }]);
  },
});
