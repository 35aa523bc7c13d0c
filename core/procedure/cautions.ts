/** Cautions, said where they bite. They stand under local codes, the site's permit and the maker's manual. */
export const DEFER = 'Local codes, the site’s permit and the maker’s manual come first.';

export const CAUTIONS = {
  zero: 'Open no joint until zero pressure is proved at a vent or drain. Stand aside of the joint.',
  slack:
    'Loosen slowly, standing aside: what is trapped comes out here. Keep two opposing nuts on until it has.',
  gland: 'Take both gland nuts down together: a gland pulled crooked scores the stem.',
  lift: 'Lift straight up. Rig anything you cannot hold with one hand.',
  stem: 'No pliers and no pipe grip on the stem. Soft jaws, and only between disc and backseat.',
  grip: 'No pliers and no pipe grip on the stem: a mark there leaks for ever.',
  seatLoad: 'Never turn a disc on its seat under load.',
  plugSeated: 'Never turn the plug while it is seated: both faces gall.',
  discOpen:
    'Disc fully open before the bonnet goes down: a closed disc is driven into its seat and the stem bends.',
  pressure:
    'Keep clear of the joint and the bonnet under pressure. Water for shell tests: gas stores about a thousand times the energy.',
  compound: 'All compound off between grits and before assembly: one grain left scratches the next finish.',
  lathe: 'No gloves or loose sleeves at a turning spindle. Eye protection.',
  weld: 'Cutting a tack weld: eye and face protection, and a hot-work permit where the site asks for one.',
  cheater: 'No cheater bar on a torque wrench.',
  spring:
    'A spring is loaded under here. Back its adjuster right off first; two opposing bolts stay to the last and the cover is restrained.',
  clampedSpring:
    'A clamped spring lets go with force: hold the stack in the press or with air before it is freed.',
  press: 'Nobody’s hands between ram and part. Guard or shield on the press.',
  air: 'Air moves it without warning: fingers out of the yoke and lever before supply goes on.',
  wood: 'Wood or plastic only: steel scores the wall of a finished chamber.',
  ethylene: 'No mineral oil or grease on EPDM: silicone oil or soap solution.',
  relief:
    'In many places only an authorised repairer may set and seal a relief valve. Its set pressure is not ours to change.',
} as const;
