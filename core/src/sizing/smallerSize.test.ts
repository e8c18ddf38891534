import { motorAt, type Motor } from '../circuit';
import type { SupplyFacts, WaterFacts } from '../findings';
import { poseOf, waterOf } from '../findings/water.fixture';
import { pumpPointAt } from '../water';
import { surveyedCircuit } from '../schemes/schemes.fixture';
import { sizingQuestion } from './question.fixture';
import { leastPumpV, solveIn, withSupply } from './settings';
import { dropThroughout, ohmsThroughout, sizeNamed } from './sizing';
import { smallerSizeOf, type SmallerQuestion } from './smallerSize';
import { withOhms } from '../circuit';

const motor: Motor = { labelA: 5, labelV: 12, windingOhm: 0.48 };
const circuit = surveyedCircuit('three-way-float', {
  legs: {
    sourceToPanel: { lengthM: 3 },
    panelToBilge: { lengthM: 5, autoLengthM: 9 },
    bilgeToNegative: { lengthM: 5 },
  },
});
const question = sizingQuestion(circuit);
const [manual, auto] = question.settings;
const rowAt = (pumpV: number, supplyV = 12.8, setting = auto): SupplyFacts => ({
  supplyV,
  pumpV,
  pumpA: 5,
  speedRatio: 1,
  openFlowLPerH: null,
  setting: setting ?? { switches: {}, floats: {} },
});

const asked = (change: Partial<SmallerQuestion> = {}) =>
  smallerSizeOf({
    question,
    proposed: sizeNamed('12 AWG'),
    netlist: question.netlist,
    motor,
    water: null,
    supplyRows: [rowAt(11, 12), rowAt(12.3)],
    openFlowAt: (volts) => 100 * volts,
    ...change,
  });

/** Volts at the pump on 12.8 V with 14 AWG throughout. */
const pumpVIn = (settings = question.settings) =>
  leastPumpV(
    solveIn(withSupply(withOhms(question.netlist, ohmsThroughout(question, '14 AWG')), 12.8), settings, 'pump'),
  );

describe('the next smaller size', () => {
  it('is told with its drop in percent of 12 V and its flow at 12.8 V, beside the present one', () => {
    const smaller = asked();
    expect(smaller?.size).toBe('14 AWG');
    expect(smaller?.dropPercent).toBeCloseTo((100 * dropThroughout(question, sizeNamed('14 AWG')).dropV) / 12, 9);
    // 5 A over 3.15 + 9 + 5 m of 14 AWG at 30 °C.
    expect(smaller?.dropPercent).toBeCloseTo((100 * 5 * 17.15 * 8.28496e-3 * 1.0393) / 12, 3);
    expect(smaller?.flowLPerH).toBeCloseTo(100 * pumpVIn(), 6);
    expect(smaller?.presentFlowLPerH).toBeCloseTo(1230, 9);
  });

  it('goes through the hose where that is known', () => {
    const water = waterOf() as WaterFacts;
    const smaller = asked({ water });
    const { curve, hose } = water;
    if (!curve || !hose) throw new RangeError('The water has a curve and a hose.');
    const through = (volts: number) =>
      pumpPointAt(curve, hose, motorAt(motor, volts).speedRatio, 1.2, water.waterIn).flow * 3.6e6;
    expect(smaller?.flowLPerH).toBeCloseTo(through(pumpVIn()), 4);
    expect(smaller?.presentFlowLPerH).toBeCloseTo(through(12.3), 4);
    expect(through(12.3)).toBeGreaterThan(100);
  });

  it.each<[string, WaterFacts | null]>([
    ['hose', waterOf({ hose: null })],
    ['curve', waterOf({ curve: null })],
    ['pose', waterOf({ poses: [] })],
    ['lift', waterOf({ poses: [poseOf('rest', { liftM: null })] })],
  ])('is told into the open while its %s is not known', (_what, water) => {
    expect(asked({ water })?.presentFlowLPerH).toBeCloseTo(1230, 9);
  });

  it('says no flow while the label’s is not known either', () => {
    expect(asked({ openFlowAt: () => null })).toMatchObject({ flowLPerH: null, presentFlowLPerH: null });
  });

  it('is asked in the setting that gave the pump least at 12.8 V', () => {
    const byManual = asked({ supplyRows: [rowAt(11, 12), rowAt(12.3, 12.8, manual)] });
    expect(byManual?.flowLPerH).toBeCloseTo(100 * pumpVIn(manual ? [manual] : []), 6);
    expect(byManual?.dropPercent).toBeLessThan(asked()?.dropPercent ?? 0);
  });

  it('is asked in every setting where nothing was solved at 12.8 V, and has nothing beside it', () => {
    const alone = asked({ supplyRows: [rowAt(11, 12)] });
    expect(alone?.flowLPerH).toBeCloseTo(100 * pumpVIn(), 6);
    expect(alone?.presentFlowLPerH).toBeNull();
  });

  it('is none below the smallest', () => {
    expect(asked({ proposed: sizeNamed('18 AWG') })).toBeNull();
    expect(asked({ proposed: sizeNamed('16 AWG') })?.size).toBe('18 AWG');
  });

  it('is of the same family', () => {
    expect(asked({ question: { ...question, family: 'metric' }, proposed: sizeNamed('4 mm²') })?.size).toBe('2.5 mm²');
  });
});
