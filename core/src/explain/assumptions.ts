import { defaultWindingOhm } from '../circuit';
import { batteryChemistry, defaults, internalResistanceOhm, pumpClassInWords } from '../reference';
import { formatOhms, formatQuantity, type UnitSystem } from '../units';
import { legOf, type Battery, type Circuit } from '../job';
import { schemeOf } from '../schemes';

/** A default that still stands in for a measurement. */
export interface Assumption {
  readonly what: string;
  /** The value assumed, in words. */
  readonly assumed: string;
  /** What measuring it would change. */
  readonly changes: string;
}

/** What is still assumed of a circuit, and what each would change; the weightiest first. */
export function assumptionsOf(circuit: Circuit, battery: Battery, units: UnitSystem): Assumption[] {
  const { pump, panel, source } = circuit;
  const { legs: surveyedLegs, options } = schemeOf(circuit);
  const labelV = pump.labelV ?? defaults.labelV;
  const assumptions: (Assumption | false)[] = [
    ...surveyedLegs.map(({ key, name }): Assumption | false => {
      const { lengthM, guessed } = legOf(circuit, key);
      return (
        guessed === true &&
        lengthM !== undefined && {
          what: `${name}, one way`,
          assumed: `${formatQuantity(lengthM, 'length', units)}, an estimate by the hull’s length`,
          changes: 'sets size and drop: measure it before cable is cut',
        }
      );
    }),
    pump.catalogue !== undefined && {
      what: 'Pump',
      assumed: `typical of its class, ${pumpClassInWords(pump.catalogue, units)}`,
      changes: 'sets size, fuse and flow: read its label',
    },
    pump.makerFuseA === undefined && {
      what: 'Maker’s fuse',
      assumed: 'no limit',
      changes: 'a smaller figure lowers the fuse',
    },
    pump.windingOhm === undefined &&
      pump.currentA !== undefined && {
        what: 'Winding',
        assumed: formatOhms(defaultWindingOhm(pump.currentA, labelV)),
        changes: 'moves the stalled current and whether the fuse opens in time',
      },
    panel?.switchA === undefined && {
      what: 'Switch contact',
      assumed: 'not read',
      changes: 'too small a rating asks for a relay',
    },
    options.includes('float') &&
      options.includes('pump') &&
      circuit.floatA === undefined && {
        what: 'Float contact',
        assumed: 'not read',
        changes: 'too small a rating asks for a relay',
      },
    pump.leads === undefined && {
      what: 'Pump’s own leads',
      assumed: 'not counted',
      changes: 'thin leads add to the drop',
    },
    battery.internalOhm === undefined && {
      what: 'Battery’s internal resistance',
      assumed: formatOhms(
        internalResistanceOhm(battery.chemistry ?? 'lead-acid', battery.capacityAh ?? defaults.capacityAh),
      ),
      changes: 'moves what a short beside the battery delivers',
    },
    battery.capacityAh === undefined && {
      what: 'Battery’s capacity',
      assumed: `${defaults.capacityAh} Ah, ${batteryChemistry[battery.chemistry ?? 'lead-acid'].name}`,
      changes: 'moves its internal resistance, and how long it lasts',
    },
    source?.stubLengthM === undefined && {
      what: 'Battery to fuse',
      assumed: formatQuantity(defaults.stubLengthM, 'shortLength', units),
      changes: 'a longer stub is unprotected',
    },
    ...surveyedLegs.map(
      ({ key, name }): Assumption | false =>
        legOf(circuit, key).insulationC === undefined && {
          what: `Insulation, ${name.toLowerCase()}`,
          assumed: formatQuantity(defaults.insulationC, 'temperature', units),
          changes: 'a lower rating carries less',
        },
    ),
  ];
  return assumptions.filter((assumption) => assumption !== false);
}
