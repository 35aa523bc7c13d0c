import type { Features, MoverKind, MoverOf } from '@dusk-wren/core/valve';
import type { Piece } from '../sections/section';
import { lever } from './lever';
import type { MoverDrawing, OnStem } from './mover';
import { piston } from './piston';
import { rollingDiaphragm } from './rolling-diaphragm';
import { springDiaphragm } from './spring-diaphragm';
import { vaneArm } from './vane-arm';

/** Drawn with what it moves. */
const WITH_THE_REST: MoverDrawing = {};

const MOVERS: { readonly [K in MoverKind]: MoverDrawing<MoverOf<K>> } = {
  handwheel: WITH_THE_REST,
  wrench: WITH_THE_REST,
  lever,
  'spring-diaphragm': springDiaphragm,
  piston,
  'rolling-diaphragm': rollingDiaphragm,
  'vane-arm': vaneArm,
  'diaphragm-on-stem': WITH_THE_REST,
  'hygienic-cylinder': WITH_THE_REST,
  'weight-lever': WITH_THE_REST,
  'range-spring': WITH_THE_REST,
  flow: WITH_THE_REST,
  'shear-pin': WITH_THE_REST,
  solenoid: WITH_THE_REST,
  'set-spring': WITH_THE_REST,
};

const drawingOf = ({ moved }: Features): MoverDrawing => MOVERS[moved.kind];

/** What stands on a bonnet and slides the stem. */
export const moverOnStem = (features: Features): OnStem =>
  drawingOf(features).onStem?.(features.moved, features) ?? { piece: { shapes: [] }, height: 0 };

/** What turns a shaft whose end stands at (230, 0). */
export const moverOnShaft = (features: Features): Piece =>
  drawingOf(features).onShaft?.(features.moved, features) ?? { shapes: [] };
