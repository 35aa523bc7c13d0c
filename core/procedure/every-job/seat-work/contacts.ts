import { closureOf, type Contact } from '../../../valve';
import type { StandingCall } from '../../../calls';
import type { Context } from '../../draft';

/** The contacts of this valve that are blued. Seats pressed home are, only where the site grinds them in line. */
export function contactsOf({ features, site }: Context): readonly Contact[] {
  const contacts = closureOf(features).contacts?.(features.closure, features) ?? [];
  return contacts.filter(({ way }) => way !== 'press home' || site.schools.gateSeats === 'ground in line');
}

/** Whether a call takes metal off a part, or renews it: its blue line as found tells nothing. */
export const isCut = (call: StandingCall | undefined): boolean =>
  call?.verdict === 'renew' || (call?.verdict === 'rework' && call.method !== 'free and clean');
