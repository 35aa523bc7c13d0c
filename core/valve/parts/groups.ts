import { closureOf } from '../closures';
import { packedBox, type Features } from '../features';
import { jointOf } from '../joints';
import { moverOf } from '../movers';
import { positionerOf } from '../positioners';
import type { PartRole } from './catalogue';

type Roles = readonly PartRole[];

/** Only where it is there. */
const where = (there: boolean, ...roles: PartRole[]): Roles => (there ? roles : []);

/** Two nuts on a flange squeeze the packing, where nothing else does. */
const NUTS_ON_A_FLANGE: Roles = ['gland nuts', 'gland flange', 'gland'];

function glandOf(features: Features): Roles {
  if (!packedBox(features)) return [];
  const { lantern } = features;
  return [
    ...(jointOf(features).gland ?? closureOf(features).gland ?? NUTS_ON_A_FLANGE),
    ...where(lantern.kind === 'lantern-ring' && lantern.lubricator, 'lubricator', 'isolating valve'),
  ];
}

function packingOf(features: Features): Roles {
  const box = packedBox(features);
  if (box) {
    return [
      ...where(box.adapters, 'female adapter'),
      'packing',
      ...where(box.adapters, 'male adapter'),
      ...where(features.lantern.kind === 'lantern-ring', 'lantern ring'),
    ];
  }
  return where(features.packing.style === 'lip seals' && jointOf(features).lipSeals === true, 'lip seals');
}

function stemOf(features: Features): Roles {
  const { turnedBy } = closureOf(features);
  return features.stem.motion === 'none' || turnedBy === 'nothing of its own' ? [] : [turnedBy];
}

/** The rooms of a valve, from the outside in: what is opened, looked at and put right together. */
export const ROOMS = ['positioner', 'mover', 'gland', 'joint', 'stem', 'packing', 'closure', 'body'] as const;
export type Room = (typeof ROOMS)[number];

/** Its parts by room, about in the order they come off. A part that two rooms share stands in both. */
export const rolesByRoom = (features: Features): Readonly<Record<Room, Roles>> => ({
  positioner: positionerOf(features)?.parts ?? [],
  mover: moverOf(features).parts(features.moved, features),
  gland: glandOf(features),
  joint: jointOf(features).parts(features.joint, features),
  stem: stemOf(features),
  packing: packingOf(features),
  closure: closureOf(features).parts(features.closure, features),
  body: ['body'],
});

/** Everything a valve of these features is made of, about in the order it comes off, each once. */
export function rolesOf(features: Features): readonly PartRole[] {
  const rooms = rolesByRoom(features);
  return [...new Set(ROOMS.flatMap((room) => rooms[room]))];
}
