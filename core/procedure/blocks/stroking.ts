import type { Screw } from '../../job';
import { quantity } from '../../quantity';
import { OVERSHOOT_MOST, POSITIONER_LIMITS, STRAIGHT_LIMITS } from '../../standards';
import {
  RESPONSE,
  RESPONSE_STEPS,
  STEP_FIGURES,
  stepFigure,
  type MeasureAsk,
  type MeasureTask,
  type StrokeTestTask,
} from '../../task';
import { positionerOf, type Features } from '../../valve';
import { STROKE_POINTS, STROKED_AS_FOUND } from '../every-job/as-found';
import type { Context } from '../draft';
import type { Sketch } from '../sequence';

/** What answers the signal of a valve. */
export const answeredBy = (features: Features): StrokeTestTask['by'] =>
  positionerOf(features) ? 'positioner' : 'signal';

/** The stroke judged by points, as left; then how it answers, where that matters. */
export function strokeTests(c: Context, screws: readonly Screw[]): readonly Sketch[] {
  const by = answeredBy(c.features);
  return [
    {
      id: 'setup.stroke-test',
      benchAir: true,
      title: 'Stroke test: five points up and down',
      why:
        by === 'positioner'
          ? 'Up without running past, down without running past; read once it stands. What zero and span do not cure is friction or the linkage.'
          : 'The signal straight into the actuator: friction shows whole. Up without running past, down without running past; read once it stands.',
      tools: ['signal source'],
      task: { kind: 'stroke-test', by, at: STROKE_POINTS, was: c.idOf(STROKED_AS_FOUND), screws },
      minutes: 12,
    },
    {
      id: 'setup.response',
      benchAir: true,
      title: 'How it answers: dead band, steps, stroke time',
      why: 'Small steps until it moves, then three steps and a full stroke each way: what a stroke test, read standing, does not show.',
      optional: 'only where its loop is quick, or the sheet gives a time',
      tools: ['signal source'],
      task: responseTask(by),
      minutes: 10,
    },
  ];
}

const share = (value: number) => quantity('ratio', value, '%');

function responseTask(by: StrokeTestTask['by']): MeasureTask {
  const { hysteresis } = by === 'positioner' ? POSITIONER_LIMITS : STRAIGHT_LIMITS;
  const inSeconds = (what: string, example: string): MeasureAsk => ({ what, dimension: 'time', example });
  const none = share(0);
  return {
    kind: 'measure',
    asks: [
      {
        what: RESPONSE.deadBand,
        dimension: 'ratio',
        example: '0.3 %',
        mustBe: { from: none, to: share(hysteresis) },
      },
      { what: RESPONSE.resolution, dimension: 'ratio', example: '0.1 %', orNought: true },
      ...RESPONSE_STEPS.flatMap((step) =>
        STEP_FIGURES.map((figure): MeasureAsk =>
          figure === 'overshoot'
            ? {
                what: stepFigure(figure, step),
                dimension: 'ratio',
                example: '0 %',
                orNought: true,
                mustBe: { from: none, to: share(OVERSHOOT_MOST) },
              }
            : inSeconds(stepFigure(figure, step), figure === 'dead time' ? '0.2 s' : '1 s'),
        ),
      ),
      inSeconds(RESPONSE.rising, '4 s'),
      inSeconds(RESPONSE.falling, '4 s'),
    ],
    live: { kind: 'response', screws: by === 'positioner' ? ['gain screw'] : [] },
  };
}
