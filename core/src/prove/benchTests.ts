import { roles, type Part } from '../circuit';
import { schemeOf } from '../schemes';
import { sensorOf } from '../water';
import { spreads } from './corners';
import type { Ground } from './ground';
import { seen, testOf, type ProveTest } from './proveTest';
import { openFlow } from './waterTests';
import { widened, windowAbout } from './windows';

const bench = { phase: 'bench', place: 'bench' } as const;
const RUN_L = 10;

/** Before anything is in the bilge: new parts are faulty often enough, and a bilge is the worst place to find out. */
export function benchTests(ground: Ground): ProveTest[] {
  const { pump, floats } = ground;
  const { circuit } = ground.assessed;
  const sensor = sensorOf(schemeOf(circuit).senses, circuit.water?.float);
  const loose =
    pump?.inside === undefined ? floats.filter(({ kind }) => kind === 'float-switch' || kind === 'through-float') : [];
  return [
    ...(pump ? pumpLooks(pump) : []),
    ...loose.flatMap(floatOhms),
    ...windingOhms(ground),
    ...(pump ? runs(ground, sensor !== null) : []),
    joint,
  ];
}

function pumpLooks(pump: Extract<Part, { kind: 'pump' }>): ProveTest[] {
  return [
    testOf({
      ...bench,
      id: 'look-pump',
      power: 'dead',
      text: 'Look at the pump: housing whole, impeller turns by hand and is whole, no green copper at its leads.',
      at: pump.id,
      expect: seen('sound', ['something is wrong']),
    }),
    testOf({
      ...bench,
      id: 'label',
      power: 'dead',
      text: 'What its label says, against the survey.',
      at: pump.id,
      expect: seen(`${pump.motor.labelA} A at ${pump.motor.labelV} V`, ['another figure']),
    }),
  ];
}

function floatOhms({ id }: Part): ProveTest[] {
  const states = [
    ['down', 'open'],
    ['up', 'closed'],
    ['down-again', 'open'],
  ] as const;
  return [
    testOf({
      ...bench,
      id: `look-${id}`,
      power: 'dead',
      text: 'Look at the float: arm free over its whole way, not cracked, nothing wedged in it.',
      at: id,
      expect: seen('sound', ['something is wrong']),
    }),
    ...states.map(([key, expected]) =>
      testOf({
        ...bench,
        id: `float-ohms-${key}`,
        power: 'dead',
        text: `Ohms between the float’s two leads, ${key === 'down-again' ? 'down again' : key}.`,
        at: id,
        instrument: 'ohmmeter',
        set: { switches: {}, floats: { [id]: key === 'up' ? 'up' : 'down' }, fusesOut: [] },
        expect: seen(expected, ['closed', 'some ohms', 'open']),
      }),
    ),
  ];
}

function windingOhms({ pump, rules }: Ground): ProveTest[] {
  if (!pump || pump.inside?.sensing === 'timer') return [];
  const { windingOhm } = pump.motor;
  const { ohm } = spreads.winding;
  return [
    testOf({
      ...bench,
      id: 'winding',
      power: 'dead',
      text: 'Ohms between the pump’s own two leads at four positions of the shaft: the lowest, less the meter’s leads.',
      at: roles.pump,
      instrument: 'ohmmeter',
      expect: widened(windowAbout(windingOhm, 'ohms', rules), [Math.max(0, windingOhm - ohm), windingOhm + ohm]),
      widenedBy: [spreads.winding.what],
      missHigh: 'Brushes or a lead: turn the shaft and read again. Open in every position: another pump.',
      missLow: 'A meter in the hand does not tell a short here from a winding: go by the amperes.',
    }),
  ];
}

/** A motor that hums is not a pump that pumps: real water, by hand and by its sensor. */
function runs(ground: Ground, automatic: boolean): ProveTest[] {
  const flow = openFlow(ground);
  const { guessed } = ground.rules.flow;
  const text = `Pump ${RUN_L} L from one vessel into another by hand, and time it.`;
  return [
    flow === null
      ? testOf({
          ...bench,
          id: 'bench-litres-seen',
          text,
          expect: seen('a full stream', ['a thin stream', 'hums', 'nothing']),
        })
      : testOf({
          ...bench,
          id: 'bench-litres',
          text,
          instrument: 'bucket and watch',
          litres: RUN_L,
          expect: { nominal: flow, low: flow * (1 - guessed), high: flow * (1 + guessed), unit: 'L/h' },
          widenedBy: ['a short hose and little lift'],
          missHigh: 'More than its label says: was it timed from full to empty?',
          missLow: 'A long hose, a lift of its own, air, or an impeller that is not whole.',
        }),
    ...(automatic
      ? [
          testOf({
            ...bench,
            id: 'bench-auto',
            text: 'The same by its float or sensor, until it stops by itself.',
            expect: seen('starts and stops by itself', ['does not start', 'does not stop']),
          }),
        ]
      : []),
  ];
}

const joint = testOf({
  ...bench,
  id: 'scrap-joint',
  power: 'dead',
  text: 'One joint of each kind on scrap cable: pull it as hard as the joint list says.',
  expect: seen('holds', ['slips or tears']),
});
