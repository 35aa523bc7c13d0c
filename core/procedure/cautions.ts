/** Cautions, said where they bite. They stand under local codes, the site's permit and the maker's manual. */
export const DEFER = 'Local codes, the site’s permit and the maker’s manual come first.';

export const CAUTIONS = {
  zero: 'Open no joint until zero pressure is proved at a vent or drain. Stand aside of the joint.',
  slack:
    'Loosen slowly, standing aside: what is trapped comes out here. Keep two opposing nuts on until it has.',
  gland: 'Take both gland nuts down together: a gland pulled crooked scores the stem.',
  lift: 'Lift straight up. Rig anything you cannot hold with one hand.',
  stem: 'No pliers and no pipe grip on the stem. Soft jaws, and only between disc and backseat.',
  seatLoad: 'Never turn a disc on its seat under load.',
  discOpen:
    'Disc fully open before the bonnet goes down: a closed disc is driven into its seat and the stem bends.',
  pressure:
    'Keep clear of the joint and the bonnet under pressure. Water for shell tests: gas stores about a thousand times the energy.',
  compound: 'All compound off between grits and before assembly: one grain left scratches the next finish.',
  lathe: 'No gloves or loose sleeves at a turning spindle. Eye protection.',
  weld: 'Cutting a tack weld: eye and face protection, and a hot-work permit where the site asks for one.',
} as const;
