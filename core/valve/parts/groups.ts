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

/** Everything a valve of these features is made of, about in the order it comes off, each once. */
export function rolesOf(features: Features): readonly PartRole[] {
  return [
    ...new Set([
      ...(positionerOf(features)?.parts ?? []),
      ...moverOf(features).parts(features.moved, features),
      ...glandOf(features),
      ...jointOf(features).parts(features.joint, features),
      ...stemOf(features),
      ...packingOf(features),
      ...closureOf(features).parts(features.closure, features),
      'body' as const,
    ]),
  ];
}
