import { inConflict, ok, type Result } from '../../problem';
import { absoluteIfGauge, fromSi, quantity, si, type FlowCoefficient, type Quantity } from '../../quantity';
import { eitherField, numberField, quantityField } from '../frame/field';

/** Fields of the two flow workings: a coefficient in one of three ways, and the pressures. */
export const coefficientFields = {
  coefficient: quantityField('flow coefficient', {
    label: 'Flow coefficient',
    oneOf: { of: 'What is known', as: 'a coefficient with its unit' },
    example: '120 Cv',
  }).exactOptional(),
  Cv: numberField(
    { label: 'Cv', example: '120', oneOf: { of: 'What is known', as: 'Cv' } },
    1e-6,
    1e6,
  ).exactOptional(),
  Kv: numberField(
    { label: 'Kv', example: '104', oneOf: { of: 'What is known', as: 'Kv' } },
    1e-6,
    1e6,
  ).exactOptional(),
};

export const pressureAt = (label: string, example: string) =>
  eitherField(['absolute pressure', 'gauge pressure'], { label, example }, 'not negative');

/** Pa absolute. */
export const absolute = absoluteIfGauge;

interface GivenCoefficient {
  coefficient?: FlowCoefficient;
  Cv?: number;
  Kv?: number;
}

/** The Kv given, or undefined when the flow was given and the coefficient is wanted; exactly one of the two. */
export function kvAsked(given: GivenCoefficient, flowGiven: boolean): Result<number | undefined> {
  const ways = [
    given.coefficient && si(given.coefficient),
    given.Cv === undefined ? undefined : si(quantity('flow coefficient', given.Cv, 'Cv')),
    given.Kv,
  ].filter((each) => each !== undefined);
  return ways.length + (flowGiven ? 1 : 0) === 1
    ? ok(ways[0])
    : inConflict(
        ['flow', 'coefficient'],
        'Give the flow, to find the coefficient, or one coefficient, to find the flow.',
      );
}

/** A coefficient in both of its units. */
export const bothCoefficients = (kv: number): { Cv: FlowCoefficient; Kv: FlowCoefficient } => ({
  Cv: fromSi('flow coefficient', kv, 'Cv'),
  Kv: quantity('flow coefficient', kv, 'Kv'),
});

/** The outlet must be below the inlet. */
type Pressure = Quantity<'gauge pressure' | 'absolute pressure'>;

export function fallOf(inlet: Pressure, outlet: Pressure): Result<{ inlet: number; outlet: number }> {
  const [high, low] = [absolute(inlet), absolute(outlet)];
  return high > low
    ? ok({ inlet: high, outlet: low })
    : inConflict(
        ['inletPressure', 'outletPressure'],
        'The outlet pressure is not below the inlet: nothing flows.',
      );
}
