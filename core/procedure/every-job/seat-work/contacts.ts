import { closureOf, type Contact, type PartRole } from '../../../valve';
import type { Method } from '../../../inspection';
import type { StandingCall } from '../../../calls';
import type { Context } from '../../draft';

/** Ways that end in a blue check where the part closes on another. */
const BLUED: readonly (Method | undefined)[] = [
  'grind in',
  'reface and lap',
  'lathe and lap',
  'grind the seat in line',
  'lap on a block',
  'lap the seat out of the body',
];

/** The contacts of this valve that are blued. Seats pressed home are, only where the site grinds them in line. */
export function contactsOf({ features, site, works }: Context): readonly Contact[] {
  const contacts = closureOf(features).contacts?.(features.closure, features) ?? [];
  return contacts.filter(
    ({ seat, way }) => works(seat) && (way !== 'press home' || site.schools.gateSeats === 'ground in line'),
  );
}

/** Whether a blue line shows that the part is put right. */
export const isBlued = (c: Context, part: PartRole): boolean =>
  contactsOf(c).some(({ seat, closure }) => seat === part || closure === part) &&
  BLUED.includes(c.calls.get(part)?.method);

/** Whether a call takes metal off a part, or renews it: its blue line as found tells nothing. */
export const isCut = (call: StandingCall | undefined): boolean =>
  call?.verdict === 'renew' || (call?.verdict === 'rework' && call.method !== 'free and clean');
