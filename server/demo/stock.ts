import type { StockPart } from '@dusk-wren/contract/stock';
import type { KitSheet } from '@dusk-wren/core/stock';
import {
  partsOf,
  PART_CATALOGUE,
  valveKey,
  type PartRole,
  type ShelfUnitKind,
  type Valve,
} from '@dusk-wren/core/valve';

/** The store of Pinder Street: numbers, prices and bins are made up. */

/** Elastomer parts and what they are moulded from here. */
const MOULDED: Partial<Record<PartRole, NonNullable<StockPart['elastomer']>>> = {
  'stem O-ring': 'NBR',
  'housing gasket': 'NBR',
  diaphragm: 'NBR',
  'soft seat': 'NBR',
  'lip seal': 'EPDM',
  'clamp seat ring': 'EPDM',
  'actuator O-rings': 'NBR',
  'piston O-ring': 'NBR',
  'actuator diaphragm': 'NBR',
  'trunnion O-ring': 'FKM',
  'upper diaphragm': 'HNBR',
  'sub O-ring': 'HNBR',
  'armature O-ring': 'FKM',
  'cover O-ring': 'FKM',
  'bonnet seal': 'HNBR',
};

const PRICED: Readonly<Record<string, number>> = {
  seating: 420,
  'soft seating': 34,
  joint: 1600,
  stem: 285,
  gasket: 18,
  seal: 6,
  packing: 46,
  diaphragm: 58,
  spring: 74,
};

/** What of a valve stands in the bins: what is always new, and of the dear parts one or none. */
export function stockOf(valve: Valve, shelf: number): StockPart[] {
  const key = valveKey(valve);
  const size = valve.nps ?? 1;
  return partsOf(valve)
    .filter(
      ({ policy, kind, stays }) =>
        !stays && (policy === 'renew always' || kind === 'stem' || kind === 'seating'),
    )
    .map(({ role, name, policy, material, leadDays, kind, quantity }, i): StockPart => {
      const elastomer = MOULDED[role];
      return {
        number: `PS-${String(shelf).padStart(2, '0')}-${String(i + 1).padStart(2, '0')}`,
        name,
        part: role,
        fits: key,
        material,
        ...(elastomer === undefined ? {} : { elastomer }),
        price: Math.round((PRICED[kind] ?? 22) * (0.6 + size * 0.2) * 100) / 100,
        leadDays,
        bin: `${String.fromCharCode(65 + (shelf % 8))}${(i % 6) + 1}`,
        onHand: policy === 'renew always' ? quantity * ((i % 3) + 1) : i % 2,
        reorderAt: policy === 'renew always' ? quantity : 0,
        // One ring has lain here since before the shop moved.
        ...(elastomer === undefined ? {} : { cureDate: role === 'stem O-ring' ? '3Q06' : '2Q25' }),
      };
    });
}

const line = (
  no: number,
  part: PartRole,
  kits: string[],
  name?: string,
  quantity = 1,
): KitSheet['lines'][number] => {
  const elastomer = MOULDED[part];
  return {
    line: String(no),
    name: name ?? part,
    part,
    quantity,
    kits,
    ...(elastomer === undefined || PART_CATALOGUE[part].kind === 'packing' ? {} : { elastomer }),
  };
};

/** Printed sheets; the first is the awkward one, which serves three kits. */
export const KIT_SHEETS: readonly KitSheet[] = [
  {
    number: 'PS-K15',
    title: 'Low-pressure valve, 2 in: three kits on one sheet',
    construction: 'control-lowpressure-diaphragm',
    kits: [
      { code: '15-S', fits: { 'moved.variant': 'single acting' } },
      { code: '15-D', fits: { 'moved.variant': 'double acting' } },
      { code: '15-A', fits: { 'moved.variant': 'adjustable double acting' } },
    ],
    lines: [
      line(1, 'diaphragm', ['15-S', '15-D'], 'Diaphragm, plain edge'),
      line(2, 'diaphragm', ['15-A'], 'Diaphragm, beaded edge'),
      line(3, 'soft seat', ['15-S', '15-D'], 'Soft seat, moulded'),
      line(4, 'soft seat', ['15-A'], 'Soft seat, bonded'),
      line(5, 'stem O-ring', ['15-S', '15-D', '15-A'], 'Stem O-ring'),
      line(6, 'backup rings', ['15-S', '15-D', '15-A'], 'Backup ring', 2),
      line(7, 'housing gasket', ['15-S', '15-D', '15-A'], 'Housing gasket'),
      line(8, 'diaphragm nut', ['15-S', '15-D', '15-A'], 'Diaphragm nut'),
    ],
  },
  {
    number: 'PS-K17',
    title: 'Dump valve, 2 to 6 in',
    construction: 'dump-weight-lever',
    kits: [
      { code: '17-23', fits: { 'moved.sizes': '2-3 in' } },
      { code: '17-46', fits: { 'moved.sizes': '4-6 in' } },
    ],
    lines: [
      line(1, 'bonnet gasket', ['17-23', '17-46'], 'Bonnet gasket'),
      line(2, 'upper diaphragm', ['17-23', '17-46'], 'Upper diaphragm'),
      line(3, 'diaphragm', ['17-23', '17-46'], 'Main diaphragm'),
      line(4, 'reversible seat', ['17-23', '17-46'], 'Reversible seat'),
      line(5, 'trunnion O-ring', ['17-23'], 'Trunnion O-ring'),
      line(6, 'trunnion gasket', ['17-46'], 'Trunnion gasket'),
      line(7, 'packing ring', ['17-23', '17-46'], 'Packing ring'),
      line(8, 'shaft O-rings', ['17-23', '17-46'], 'Shaft O-ring', 2),
    ],
  },
  {
    number: 'PS-K16',
    title: 'Hygienic seat valve, both actuators',
    construction: 'control-hygienic-seat',
    kits: [
      { code: '16-S', fits: { 'moved.size': 'small' } },
      { code: '16-L', fits: { 'moved.size': 'large' } },
    ],
    lines: [
      line(1, 'lip seal', ['16-S', '16-L'], 'Lip seal'),
      line(2, 'clamp seat ring', ['16-S', '16-L'], 'Seat ring'),
      line(3, 'actuator O-rings', ['16-S'], 'Actuator O-ring set'),
      line(4, 'cylinder O-ring', ['16-L'], 'Cylinder O-ring'),
      line(5, 'piston guide rings', ['16-L'], 'Guide ring', 2),
      line(6, 'actuator lip seal', ['16-L'], 'Piston lip seal'),
    ],
  },
  {
    number: 'PS-K19',
    title: 'Shear-pin relief, minor and major kit',
    construction: 'relief-shear-pin',
    kits: [
      { code: '19-minor', fits: {} },
      { code: '19-major', fits: {} },
    ],
    lines: [
      line(1, 'stem cushion', ['19-minor', '19-major'], 'Stem cushion'),
      line(2, 'sub O-ring', ['19-minor', '19-major'], 'Sub O-ring'),
      line(3, 'relief piston', ['19-minor', '19-major'], 'Piston set'),
      line(4, 'cotter', ['19-minor', '19-major'], 'Cotter'),
      line(5, 'stem', ['19-major'], 'Stem'),
      line(6, 'bonnet', ['19-major'], 'Bonnet'),
    ],
  },
];

/** Units ready on the shelf, by the valve they were taken from or built for. */
export const UNITS: readonly { kind: ShelfUnitKind; serial: string; tag: string; builtDaysAgo: number }[] = [
  { kind: 'packed bonnet', serial: 'PB 017', tag: 'HV-0412', builtDaysAgo: 40 },
  { kind: 'complete insert', serial: 'BI 004', tag: 'BF-07', builtDaysAgo: 210 },
  { kind: 'rebuilt actuator', serial: 'RA 112', tag: 'TCV-118', builtDaysAgo: 65 },
  { kind: 'rebuilt actuator', serial: 'RA 115', tag: 'PCV-301', builtDaysAgo: 12 },
];
