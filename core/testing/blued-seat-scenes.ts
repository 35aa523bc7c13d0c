import { USUAL_SCENE, type BluedSeatScene } from '../simulation';

/** Pictures of a blued seat that a reader must not pass, and some that it must, with what is to be said of each. */
export interface JudgedScene {
  readonly name: string;
  readonly scene: BluedSeatScene;
  readonly verdict: 'fit' | 'wide' | 'broken' | 'ask';
}

/** A seat that fills the picture, with a line of about 25 thou on a 3 in seat. */
const SEAT: BluedSeatScene = {
  ...USUAL_SCENE,
  width: 480,
  height: 480,
  x: 0.5,
  y: 0.5,
  radius: 0.35,
  line: 0.018,
  noise: 5,
};
const HIDDEN_BREAK = { gaps: [{ from: 100, degrees: 60 }] };
const smear = (at: number, from = 0, degrees = 360) => ({ smears: [{ at, line: 0.018, from, degrees }] });

const judged = (
  name: string,
  verdict: JudgedScene['verdict'],
  scene: Partial<BluedSeatScene>,
): JudgedScene => ({ name, verdict, scene: { ...SEAT, ...scene } });

export const JUDGED_SCENES: readonly JudgedScene[] = [
  judged('whole narrow line', 'fit', {}),
  judged('whole line, strong noise', 'fit', { noise: 20, line: 0.03 }),
  judged('whole line, half dark', 'fit', { gradient: 0.75 }),
  judged('whole line, tilted 20°', 'fit', { tilt: 20 }),
  judged('whole line, blue rag beside the seat', 'fit', { x: 0.6, radius: 0.28, line: 0.025, cloth: 0.12 }),
  judged('whole broad line', 'wide', { line: 0.09 }),
  judged('break of 30°', 'broken', { gaps: [{ from: 20, degrees: 30 }] }),
  judged('break of 1.5°', 'broken', { gaps: [{ from: 20, degrees: 1.5 }] }),
  judged('half of the line missing', 'broken', { gaps: [{ from: 20, degrees: 180 }] }),
  judged('break of 20°, tilted 30°', 'broken', { tilt: 30, gaps: [{ from: 45, degrees: 20 }] }),
  judged('sixty breaks of half a degree', 'broken', {
    line: 0.03,
    gaps: Array.from({ length: 60 }, (_, i) => ({ from: 6 * i, degrees: 0.5 })),
  }),
  judged('one break of half a degree', 'ask', { line: 0.03, gaps: [{ from: 20, degrees: 0.6 }] }),
  judged('pale film, usual noise, break of 30°', 'ask', {
    film: 0.2,
    noise: 14,
    line: 0.03,
    gaps: [{ from: 20, degrees: 30 }],
  }),
  judged('pale film, usual noise, whole', 'ask', { film: 0.2, noise: 14, line: 0.03 }),
  judged('noise of 60, break of 30°', 'ask', { noise: 60, line: 0.03, gaps: [{ from: 20, degrees: 30 }] }),
  judged('second line at 93 % of the radius beside a break of 60°', 'ask', {
    ...HIDDEN_BREAK,
    ...smear(0.93, 95, 70),
  }),
  judged('whole second line at 93 %, break of 60°', 'ask', { ...HIDDEN_BREAK, ...smear(0.93) }),
  judged('whole second line at 87 %, break of 60°', 'ask', { ...HIDDEN_BREAK, ...smear(0.87) }),
  judged('smear at 96 % over a break of 60°', 'ask', { ...HIDDEN_BREAK, ...smear(0.96, 95, 70) }),
  judged('two whole rings, the second at 75 %', 'ask', smear(0.75)),
  judged('cut off by the top of the picture', 'ask', { y: 0.25 }),
  judged('whole line, tilted 35°', 'ask', { tilt: 35 }),
  judged('an arc of 40°', 'ask', { line: 0.03, gaps: [{ from: 40, degrees: 320 }] }),
  judged('glare over 12°', 'ask', { glare: { from: 10, degrees: 12 } }),
  judged('a ring of 40 pixels', 'ask', { radius: 0.06, line: 0.12 }),
];
