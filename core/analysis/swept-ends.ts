import type { Signature } from './signature';

/** Pressures at which a sweep meets the ends of the travel, Pa. */
export interface SweptEnds {
  readonly startsUp: number;
  readonly endsUp: number;
  readonly endsDown: number;
  readonly startsDown: number;
}

/** The ends of the travel on the spring's line, each way: what a stop adds to them is left out. */
export function sweptEnds({ rising, falling, closed, open }: Signature): SweptEnds {
  const on = ({ intercept, slope }: Signature['rising'], travel: number) => intercept + slope * travel;
  return {
    startsUp: on(rising, closed),
    endsUp: on(rising, open),
    endsDown: on(falling, open),
    startsDown: on(falling, closed),
  };
}
