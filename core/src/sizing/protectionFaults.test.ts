import { houseBattery, surveyedCircuit } from '../schemes/schemes.fixture';
import type { Rating } from '../wiring';
import { otherPump, protectionQuestion, type Protected } from './question.fixture';
import { protectionFacts, type ProtectionQuestion } from './protection';
import { heldIn, solveIn, withPump, withSupply } from './settings';

const factsOf = (
  circuit = surveyedCircuit('three-way-float'),
  given: Protected = {},
  change: Partial<ProtectionQuestion> = {},
) => protectionFacts(protectionQuestion(circuit, given, change));
const rated = (ratingA: number, kind: Rating['kind'] = 'blade') =>
  factsOf(undefined, {}, { rating: { kind, ratingA } });
const panelled = (ratingA: number, more: Parameters<typeof surveyedCircuit>[1] = {}) =>
  surveyedCircuit('three-way-float', { panel: { fuse: { kind: 'blade', ratingA } }, ...more });

/** Resistance of 12 AWG at 30 °C, Ω a metre. */
const PER_M = (1.7241e-8 / 3.309e-6) * 1.0393;
/** Of the way on auto and on manual: 13.15 m, a 10 A fuse, the switch, joints, and on auto the float. */
const AUTO_OHM = 13.15 * PER_M + 0.0085 + 0.005 + 3 * 0.001 + 0.01;
const MANUAL_OHM = 13.15 * PER_M + 0.0085 + 0.005 + 2 * 0.001;
/** Seconds between two points of a window, straight on log-log paper. */
const between = (at: number, [x1, y1]: readonly [number, number], [x2, y2]: readonly [number, number]) =>
  y1 * (y2 / y1) ** (Math.log(at / x1) / Math.log(x2 / x1));

describe('faults', () => {
  it('draw what wiring and winding let through at 12 V, in the setting that lets through least', () => {
    const { lockedRotorA, farShortA } = factsOf();
    expect(lockedRotorA).toBeCloseTo(12 / (0.48 + AUTO_OHM), 5);
    expect(farShortA).toBeCloseTo(12 / AUTO_OHM, 4);
  });

  it('last until the device opens on its slowest edge', () => {
    const { lockedRotorA, lockedRotorOpening, farShortOpening } = factsOf();
    expect(lockedRotorOpening).toEqual({
      kind: 'opens',
      seconds: expect.closeTo(between(lockedRotorA / 10, [2, 5], [3.5, 0.5]), 6),
    });
    // Twelve times its rating: the end of the window.
    expect(farShortOpening).toEqual({ kind: 'opens', seconds: 0.1 });
  });

  it('last for ever where one setting never opens it, whatever the other does', () => {
    // Manual 21.17 A is 1.366 × 15.5 A, auto 20.8 A 1.34 ×: below the first point of the slowest edge.
    expect(rated(15.5).lockedRotorOpening).toEqual({ kind: 'never' });
    expect(rated(15).lockedRotorOpening.kind).toBe('opens');
  });

  it('last as long as nobody knows where no curve is published', () => {
    expect(rated(110, 'classT').lockedRotorOpening).toEqual({ kind: 'not-shown' });
  });

  it('cannot be had where the pump runs in no setting', () => {
    expect(() => factsOf(undefined, {}, { settings: [] })).toThrow('The pump runs in no setting of this scheme.');
  });

  it('are judged with the coil held: a stalled pump may drop its relay, and what must open is the fuse', () => {
    const { lockedRotorA } = factsOf(surveyedCircuit('relay', { relay: { pullInV: 11.9, dropOutV: 11.8 } }));
    // Battery to contact and pump: fuse, live joint, contact, two joints.
    expect(lockedRotorA).toBeCloseTo(12 / (0.48 + 13.15 * PER_M + 0.0085 + 0.001 + 0.005 + 0.002), 1);
  });

  it('turn with the winding, in one path only', () => {
    // 10 s at 1.87 × 10 A.
    const turnA = 10 * 1.6 * (2 / 1.6) ** (Math.log(10 / 50) / Math.log(5 / 50));
    expect(factsOf().windingTurn?.fromOhm).toBeCloseTo(12 / turnA - AUTO_OHM, 5);
    expect(factsOf().windingTurn?.highestOhm).toBeCloseTo(0.78, 12);
    // A panel fuse that is quicker decides.
    const both = factsOf(panelled(7.5));
    expect(both.windingTurn?.fromOhm).toBeCloseTo(12 / (0.75 * turnA) - AUTO_OHM - 0.085 / 7.5, 4);
    // The coil's fuse carries no more than its coil and never opens on this.
    expect(factsOf(surveyedCircuit('relay')).windingTurn?.opening.kind).toBe('opens');
  });
});

describe('a start', () => {
  it('draws volts over resistance at 14.4 V in the setting that lets through most', () => {
    expect(factsOf().inrushA).toBeCloseTo(14.4 / (0.48 + MANUAL_OHM), 5);
  });

  it('goes through every device in the pump’s path', () => {
    const circuit = panelled(7.5, {
      source: { mainFuse: { kind: 'cubeAtBattery', ratingA: 40 } },
    });
    const { devices } = factsOf(circuit);
    expect(devices.map(({ id, name, kind, ratingA }) => [id, name, kind, ratingA])).toEqual([
      ['main-fuse', 'Main fuse', 'cubeAtBattery', 40],
      ['fuse', 'Fuse', 'blade', 10],
      ['panel-fuse', 'Panel fuse', 'blade', 7.5],
    ]);
    const manualOhm = MANUAL_OHM + 0.085 / 40 + 0.085 / 7.5;
    for (const { inrushA, designA } of devices) {
      expect(inrushA).toBeCloseTo(14.4 / (0.48 + manualOhm), 4);
      expect(designA).toBeCloseTo(5, 6);
    }
    const [main, own, panel] = devices;
    expect(main?.inrushOpening).toEqual({ kind: 'not-shown' });
    expect(own?.inrushOpening).toEqual({
      kind: 'opens',
      seconds: expect.closeTo(between((own?.inrushA ?? 0) / 10, [2, 0.15], [3.5, 0.04]), 6),
    });
    expect(panel?.inrushOpening).toEqual({
      kind: 'opens',
      seconds: expect.closeTo(between((panel?.inrushA ?? 0) / 7.5, [2, 0.15], [3.5, 0.04]), 6),
    });
  });

  it('does not go through what only a coil or a light hangs on', () => {
    const circuit = surveyedCircuit('relay', { panel: { light: 'filament', tapFuseA: 1 } });
    expect(factsOf(circuit).devices.map(({ id }) => id)).toEqual(['fuse']);
  });

  it('counts a device from a tenth of the current on', () => {
    // Both legs at work; the manual one so long that it carries what is asked.
    const circuit = surveyedCircuit('hot-auto', { panel: { legFuses: { kind: 'blade', manualA: 7.5, autoA: 7.5 } } });
    const question = protectionQuestion(circuit);
    const both = question.settings.filter(
      ({ switches, floats }) => switches.switch === 'manual' && floats.pump === 'up',
    );
    const withManual = (ohm: number): ProtectionQuestion => ({
      ...question,
      settings: both,
      netlist: {
        ...question.netlist,
        conductors: question.netlist.conductors.map((wire) => (wire.id === 'manual' ? { ...wire, ohm } : wire)),
      },
    });
    const shareAt = (ohm: number) => {
      const { netlist, plan } = withManual(ohm);
      const [row] = solveIn(heldIn(withSupply(withPump(netlist, 'locked'), 12)), both, plan.ids.pump);
      return Math.abs(row?.point.partA('manual-fuse') ?? 0) / Math.abs(row?.point.conductorA('feed') ?? 1);
    };
    let [low, high] = [0, 10];
    for (let step = 0; step < 60; step += 1) {
      const middle = (low + high) / 2;
      if (shareAt(middle) > 0.1) low = middle;
      else high = middle;
    }
    const idsAt = (ohm: number) => protectionFacts(withManual(ohm)).devices.map(({ id }) => id);
    expect(idsAt(low - 1e-4)).toEqual(['fuse', 'manual-fuse', 'auto-fuse']);
    expect(idsAt(low + 1e-4)).toEqual(['fuse', 'auto-fuse']);
  });

  it('of a pump on a shared feed adds what the others draw then', () => {
    const given = { others: [otherPump()] };
    const question = protectionQuestion(surveyedCircuit('three-way-float'), given);
    const { inrushA, devices } = protectionFacts(question);
    const faulty = heldIn(withSupply(withPump(question.netlist, 'locked'), 14.4));
    const most = Math.max(
      ...solveIn(faulty, question.settings, 'pump').map(({ point }) => Math.abs(point.conductorA('feed'))),
    );
    expect(inrushA).toBeCloseTo(most, 9);
    expect(devices[0]?.inrushA).toBeCloseTo(most, 6);
    // More than the pump alone: the other’s three amperes and a little for its 14.4 V.
    const aloneA = 14.4 / (0.48 + MANUAL_OHM + 0.001);
    expect(inrushA - aloneA).toBeGreaterThan(2);
    expect(inrushA - aloneA).toBeLessThan(3.6);
    // A motor that runs draws more than in proportion: 1.2 times the stalled circuit at 12 V is less.
    expect(inrushA - 1.2 * Math.max(...lockedOf(question))).toBeGreaterThan(0.1);
  });

  const lockedOf = ({ netlist, settings }: ProtectionQuestion) =>
    solveIn(heldIn(withSupply(withPump(netlist, 'locked'), 12)), settings, 'pump').map(({ point }) =>
      Math.abs(point.conductorA('feed')),
    );

  it('stands beside the running current on charge', () => {
    const [device] = factsOf().devices;
    // 13.6 V: the motor’s own equation, on manual, where more is left for it.
    const question = protectionQuestion();
    const most = Math.max(...question.onCharge.map(({ point }) => point.conductorA('feed')));
    expect(device?.onChargeA).toBeCloseTo(most, 9);
    expect(device?.onChargeA).toBeGreaterThan(5.5);
  });
});

describe('a short at the source', () => {
  it('is let through by battery and stub: full charge over what resists', () => {
    const { sourceFaultA, postFaultA } = factsOf();
    expect(postFaultA).toBeCloseTo(12.7 / 0.006, 6);
    expect(sourceFaultA).toBeCloseTo(12.7 / (0.006 + 0.15 * PER_M), 6);
  });

  it('is the post’s own for a device that bolts to it, the main fuse before any other', () => {
    const cube: Rating = { kind: 'cubeAtBattery', ratingA: 40 };
    const blade: Rating = { kind: 'blade', ratingA: 40 };
    const withMain = (mainFuse: Rating, rating: Rating) =>
      factsOf(surveyedCircuit('three-way-float', { source: { mainFuse } }), {}, { rating });
    const atPost = (facts: ReturnType<typeof factsOf>) => facts.sourceFaultA === facts.postFaultA;
    expect([atPost(factsOf()), atPost(rated(40, 'cubeAtBattery')), atPost(rated(110, 'classT'))]).toEqual([
      false,
      true,
      false,
    ]);
    expect([atPost(withMain(cube, blade)), atPost(withMain(blade, cube))]).toEqual([true, false]);
  });

  it('goes by the battery’s kind, size and what was measured of it', () => {
    const postOf = (more: object) => factsOf(undefined, { battery: { ...houseBattery, ...more } }).postFaultA;
    expect(postOf({ capacityAh: 200 })).toBeCloseTo(12.7 / 0.003, 6);
    expect(postOf({ chemistry: 'lifepo4' })).toBeCloseTo(13.4 / 0.003, 6);
    expect(postOf({ internalOhm: 0.01, capacityAh: 200 })).toBeCloseTo(1270, 6);
    // A flat battery is charged again: it is judged full.
    expect(postOf({ stateOfCharge: 0.2 })).toBeCloseTo(12.7 / 0.006, 6);
  });

  it('is held against what the family may interrupt', () => {
    expect([
      factsOf().interruptA,
      rated(8, 'thermalBreaker').interruptA,
      rated(40, 'cubeAtBattery').interruptA,
    ]).toEqual([1000, 2500, 10000]);
  });
});
