import { onStep, type EntryOf } from '../../../job';
import { inches, si } from '../../../quantity';
import { metalSeatOf, type Contact } from '../../../valve';
import { seatContact } from '../../../workings';
import { closureProcedure } from '../../closures';
import { ifThere, stepName, type StepName } from '../../relations';
import { draft, feature, type Context, type Draft, type Fragment } from '../../draft';
import { lookOf } from '../looks';
import { contactsOf, isCut } from './contacts';

const SEAT = feature('a metal seat that is blued');

/** The blue check of a contact as it was found. */
export const asFoundOf = ({ side }: Contact): StepName => stepName('inspect.blue', side);

/** The blue line as found, where nothing is damaged that has to be cut first. */
export const blueAsFound: Fragment = {
  name: 'blue as found',
  openings: 'first',
  of: ['sound', 'quoted'],
  compose: (c) =>
    contactsOf(c)
      .filter(({ seat, closure }) => ![seat, closure].some((part) => isCut(c.calls.get(part))))
      .map((contact) =>
        draft({
          ...bluing(c, contact, 0),
          name: asFoundOf(contact),
          stage: 'inspect',
          because: SEAT,
          after: [
            'clean to inspect',
            ifThere(lookOf(contact.closure)),
            ifThere(lookOf(contact.seat)),
            'asked',
          ],
          provides: ['inspected'],
        }),
      ),
};

/** What a blue check is, whatever it is for; round 0 is as found. */
export function bluing(
  c: Context,
  { seat, closure, side, way }: Contact,
  round: number,
): Pick<Draft, 'title' | 'why' | 'tools' | 'consumables' | 'parts' | 'task' | 'minutes'> {
  const diameter = metalSeatOf(c.features)?.diameter ?? inches(c.valve.nps ?? 2);
  const straight = way === 'press home' || c.site.schools.bluing === 'straight down';
  const on = seat === 'seat' || seat === 'seat ring' ? 'its seat' : `the ${seat}`;
  return {
    title:
      round === 0
        ? `Blue the ${closure} on ${on}, as found`
        : `Blue check, round ${round}${side ? `: ${seat}` : ''}`,
    why: `A thin film, ${
      straight ? 'pressed straight home, no turn' : 'a quarter turn under light pressure'
    }${
      closureProcedure(c.features).spottedOnStem && c.site.schools.spotting === 'locked to the stem'
        ? ', the disc locked to its stem with shim'
        : ''
    }. One closed narrow line is what holds; any break is a leak path.${
      round > 0 ? ' Then the other way: the film on the seat, read on what closes it.' : ''
    }`,
    tools: ['lamp', 'mirror'],
    consumables: ['spotting blue', 'lint-free cloth'],
    parts: [seat, closure],
    task: { kind: 'bluing', diameter, widest: c.site.widestBlueLine, round },
    minutes: 8,
  };
}

/** The last blue check on a step, and what it says: whether the line holds, and how much of the circle it covers. */
export function blueOn(c: Context, step: StepName) {
  const entry = onStep(c.state, 'bluing-checked', c.idOf(step)).at(-1);
  return entry && { entry, ...read(c, entry) };
}

function read(c: Context, { body }: EntryOf<'bluing-checked'>): { fit: boolean; continuity: number } {
  const worked = seatContact.work({
    diameter: body.diameter,
    arcs: body.arcs,
    widest: c.site.widestBlueLine,
  });
  return worked.ok
    ? { fit: worked.value.result.verdict === 'fit', continuity: si(worked.value.result.continuity) }
    : { fit: false, continuity: 0 };
}
