import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import { conductorSizes, copperFactor, findSize } from '../reference';
import type { PlannedConductor, PlannedRun } from '../schemes';
import { surveyedCircuit } from '../schemes/schemes.fixture';
import type { RatingAnswer } from '../wiring';
import { noRating, otherPump, sizingQuestion, wired } from './question.fixture';
import { runningSettings } from './settings';
import {
  dropInForce,
  dropThroughout,
  mostA,
  ohmsAt,
  ohmsThroughout,
  piecesOf,
  proposeSize,
  sizeNamed,
  weakestPiece,
  type SizingQuestion,
} from './sizing';

const cool: PlannedRun = { lengthM: 4, insulationC: 105, engineSpace: false, temperatureC: 30 };
const hot: PlannedRun = { lengthM: 2, insulationC: 60, engineSpace: true, temperatureC: 60 };
const conductorOf = (...runsOfIt: PlannedRun[]): PlannedConductor => ({
  id: 'one',
  name: 'One',
  from: { part: 'fuse', terminal: 'load' },
  to: { part: 'switch', terminal: 'common' },
  role: 'supply',
  colour: { base: 'red' },
  leg: 'sourceToPanel',
  lengthM: 0,
  runs: runsOfIt,
  duty: 'pump',
});

const legsOf = (feedM: number, bilgeM = feedM, negativeM = feedM, more = {}) => ({
  sourceToPanel: { lengthM: feedM, ...more },
  panelToBilge: { lengthM: bilgeM, ...more },
  bilgeToNegative: { lengthM: negativeM, ...more },
});
/** So short that nothing is lost. */
const short = surveyedCircuit('three-way-float', { legs: legsOf(0.02), source: { stubLengthM: 0.01 } });
const fuseOf = (ratingA: number): RatingAnswer => ({
  found: true,
  rating: { kind: 'blade', ratingA },
  because: 'over-running',
});
const sizeAt = (
  designCurrentA: number,
  change: Partial<SizingQuestion> = {},
  circuit = surveyedCircuit('three-way-float'),
) => proposeSize(sizingQuestion(circuit, { designCurrentA, ...change })).size.size;
/** Ω of 1 m at 30 °C. */
const perM = (size: string) => ((findSize(size)?.ohmPerKm20C ?? NaN) / 1000) * 1.0393;

describe('a conductor in pieces', () => {
  const pieces = piecesOf(conductorOf(cool, hot), sizeNamed('12 AWG'));

  it('has the resistance and ampacity of each where it runs', () => {
    const [first, second] = pieces;
    expect(first).toMatchObject({ run: cool, temperatureC: 30, ampacity: { amps: 45 } });
    expect(first?.resistanceOhm).toBeCloseTo(5.21034e-3 * 1.0393 * 4, 6);
    // 25 A at 60 °C × 0.58 in an engine space.
    expect(second).toMatchObject({ run: hot, temperatureC: 60, ampacity: { amps: expect.closeTo(14.5, 9) } });
    expect(second?.resistanceOhm).toBeCloseTo(5.21034e-3 * copperFactor(60) * 2, 6);
  });

  it('is as weak as the weakest, and as long as all', () => {
    expect(weakestPiece(pieces)).toBe(pieces[1]);
    expect(weakestPiece([...pieces].reverse())).toBe(pieces[1]);
    expect(() => weakestPiece([])).toThrow('A conductor has at least one piece.');
    const sum = pieces.reduce((total, { resistanceOhm }) => total + resistanceOhm, 0);
    expect(ohmsAt([conductorOf(cool, hot)], () => sizeNamed('12 AWG')).get('one')).toBeCloseTo(sum, 12);
  });
});

describe('the size of each conductor', () => {
  const leads = surveyedCircuit('three-way-float', { pump: { leads: { lengthM: 0.3, size: '18 AWG' } } });

  it('is the one of a feed taken over, else the one it comes with, else the one asked about', () => {
    const { plan } = sizingQuestion(leads);
    const ohms = ohmsThroughout({ plan, fixed: { feed: '8 AWG' } }, '12 AWG');
    expect(ohms.get('feed')).toBeCloseTo(3 * perM('8 AWG'), 9);
    expect(ohms.get('manual')).toBeCloseTo(5 * perM('12 AWG'), 9);
    expect(ohms.get('pump-lead-plus')).toBeCloseTo(0.3 * perM('18 AWG'), 9);
  });

  it('is looked up by name', () => {
    expect(sizeNamed('4 mm²')).toMatchObject({ family: 'metric', areaMm2: 4 });
    expect(() => sizeNamed('13 AWG')).toThrow(new RangeError('"13 AWG" is not in the tables of conductor sizes.'));
  });
});

describe('the drop throughout', () => {
  it('of 5 A over 3.15 m out, 5 m on and 5 m back, by hand', () => {
    const { dropV, leadsDropV, solved } = dropThroughout(sizingQuestion(), sizeNamed('12 AWG'));
    expect(dropV).toBeCloseTo(5 * 13.15 * perM('12 AWG'), 6);
    expect(leadsDropV).toBe(0);
    expect(solved).toHaveLength(2);
  });

  it('is that of the setting that loses most', () => {
    const auto = surveyedCircuit('three-way-float', {
      legs: { ...legsOf(3, 5, 5), panelToBilge: { lengthM: 5, autoLengthM: 8 } },
    });
    const { dropV, setting } = dropThroughout(sizingQuestion(auto), sizeNamed('12 AWG'));
    expect(dropV).toBeCloseTo(5 * 16.15 * perM('12 AWG'), 6);
    expect(setting).toEqual({ switches: { switch: 'auto' }, floats: { float: 'up' } });
  });

  it('leaves the pump’s own leads out and tells them apart', () => {
    const circuit = surveyedCircuit('three-way-float', { pump: { leads: { lengthM: 0.3, size: '18 AWG' } } });
    const { dropV, leadsDropV } = dropThroughout(sizingQuestion(circuit), sizeNamed('12 AWG'));
    expect(leadsDropV).toBeCloseTo(5 * 0.6 * perM('18 AWG'), 6);
    expect(dropV).toBeCloseTo(5 * 13.15 * perM('12 AWG'), 6);
  });

  it('cannot be had where the pump runs in no setting', () => {
    expect(() => dropThroughout(sizingQuestion(undefined, { settings: [] }), sizeNamed('12 AWG'))).toThrow(
      'The pump runs in no setting of this scheme.',
    );
  });

  it('in force is the one just solved where nothing else was chosen', () => {
    const question = sizingQuestion();
    const answer = proposeSize(question);
    const same = ohmsThroughout(question, answer.size.size);
    expect(dropInForce(question, answer, same)).toBe(answer.throughout.drop);
    const thinner = new Map(same).set('manual', 5 * perM('16 AWG'));
    const drop = dropInForce(question, answer, thinner);
    expect(drop.dropV).toBeCloseTo(5 * (8.15 * perM('12 AWG') + 5 * perM('16 AWG')), 6);
    expect(drop.setting.switches.switch).toBe('manual');
  });

  it('is solved for what every conductor carries, whichever way it flows', () => {
    const { solved } = dropThroughout(sizingQuestion(), sizeNamed('12 AWG'));
    expect(
      [mostA(solved, 'feed'), mostA(solved, 'manual'), mostA(solved, 'auto')].map((amps) => amps.toFixed(6)),
    ).toEqual(['5.000000', '5.000000', '5.000000']);
    const backwards = solved.map((row) => ({ ...row, point: { ...row.point, conductorA: () => -4 } }));
    expect(mostA(backwards, 'feed')).toBe(4);
  });
});

describe('the size proposed', () => {
  /** A at which a size just keeps a school, by hand. */
  const keeps = (size: string, allowedV: number) => allowedV / (13.15 * perM(size));

  it('changes where the drop reaches 3 % of 12 V, and 10 % in the other school', () => {
    const at3 = keeps('12 AWG', 0.36);
    expect([sizeAt(at3 * (1 - 1e-7)), sizeAt(at3 * (1 + 1e-7))]).toEqual(['12 AWG', '10 AWG']);
    const at10 = keeps('16 AWG', 1.2);
    const general = { dropSchool: 'general' } as const;
    expect([sizeAt(at10 * (1 - 1e-7), general), sizeAt(at10 * (1 + 1e-7), general)]).toEqual(['16 AWG', '14 AWG']);
  });

  it('changes where a conductor carries all that it may', () => {
    const free = { rating: noRating };
    expect([sizeAt(25, free, short), sizeAt(25.001, free, short)]).toEqual(['16 AWG', '14 AWG']);
  });

  it('changes where the fuse is 150 % of what a conductor may carry', () => {
    // 1.5 × 25 A.
    expect([sizeAt(5, { rating: fuseOf(37.5) }, short), sizeAt(5, { rating: fuseOf(37.6) }, short)]).toEqual([
      '16 AWG',
      '14 AWG',
    ]);
  });

  it('goes by the weakest piece of any conductor', () => {
    const warmer = surveyedCircuit('three-way-float', {
      source: { stubLengthM: 0.01 },
      legs: {
        ...legsOf(0.02),
        bilgeToNegative: { lengthM: 0.02, further: [{ lengthM: 0.02, insulationC: 60, engineSpace: true }] },
      },
    });
    // 60 °C in an engine space: 16 AWG 8.7 A, 14 AWG 11.6 A.
    const free = { rating: noRating };
    expect([sizeAt(8.7, free, warmer), sizeAt(8.71, free, warmer)]).toEqual(['16 AWG', '14 AWG']);
  });

  it('begins at the least size allowed, in either family', () => {
    expect(sizeAt(0.1, {}, short)).toBe('16 AWG');
    expect(sizeAt(0.1, { family: 'metric' }, short)).toBe('1 mm²');
  });

  it('is not asked of a light’s tap, of a lead and of a feed taken over', () => {
    const circuit = surveyedCircuit('three-way-float', {
      legs: legsOf(0.02),
      source: { stubLengthM: 0.01 },
      panel: { light: 'led' },
      pump: { leads: { lengthM: 0.05, size: '18 AWG' } },
    });
    const fixed = { feed: '18 AWG', stub: '18 AWG' };
    // 18 AWG may carry 20 A: leads and feed would break that at 24 A.
    expect(sizeAt(24, { rating: noRating, fixed }, circuit)).toBe('16 AWG');
  });

  it('is not asked of a feed taken over for what the others draw through it, nor of a light where nothing may run', () => {
    const { plan, netlist } = wired(short, [otherPump(60)]);
    const settings = runningSettings(netlist, plan.ids.pump);
    const fixed = { feed: '2 AWG', stub: '2 AWG' };
    expect(sizeAt(5, { plan, netlist, settings, fixed, rating: noRating }, short)).toBe('16 AWG');
    // Metric cable of 60 °C may carry nothing in an engine space: the feed’s trouble, and not for the pump’s own.
    const lit = surveyedCircuit('three-way-float', {
      ...short,
      panel: { light: 'led' },
      legs: { ...short.legs, sourceToPanel: { lengthM: 0.02, insulationC: 60, engineSpace: true } },
    });
    const answer = proposeSize(
      sizingQuestion(lit, { family: 'metric', fixed: { feed: '35 mm²', stub: '35 mm²' }, rating: fuseOf(15) }),
    );
    expect([answer.size.size, answer.noSize]).toEqual(['1 mm²', null]);
  });

  it('is the first that serves of all, one after the other', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        fc.double({ min: 0.05, max: 30, noNaN: true }),
        fc.constantFrom('awg', 'metric'),
        fc.constantFrom('critical', 'general'),
        (designCurrentA, lengthM, family, dropSchool) => {
          const circuit = surveyedCircuit('three-way-float', { legs: legsOf(lengthM) });
          const question = sizingQuestion(circuit, { designCurrentA, family, dropSchool, rating: noRating });
          const allowedV = dropSchool === 'critical' ? 0.36 : 1.2;
          // The least allowed is the second of either family.
          const rows = conductorSizes[family].slice(1);
          const serves = rows.find(
            (row) =>
              designCurrentA <=
                (piecesOf(conductorOf({ ...cool, lengthM }), { ...row, family })[0]?.ampacity.amps ?? 0) &&
              dropThroughout(question, row).dropV <= allowedV,
          );
          expect(proposeSize(question).size.size).toBe(serves?.size ?? rows[rows.length - 1]?.size);
        },
      ),
      runs(60),
    );
  });
});

describe('where no size serves', () => {
  const largest = '2/0 AWG';
  const answer = (change: Partial<SizingQuestion>, circuit = short) => proposeSize(sizingQuestion(circuit, change));

  it('is the largest, with the drop it breaks and by how much', () => {
    const long = surveyedCircuit('three-way-float', { legs: legsOf(60) });
    const { size, noSize, throughout } = answer({ designCurrentA: 90, rating: noRating }, long);
    const dropV = 90 * 180.15 * perM(largest);
    expect(size.size).toBe(largest);
    expect(noSize).toEqual({ largest, limit: 'drop', neededFactor: expect.closeTo(dropV / 0.36, 6) });
    expect(throughout.drop.dropV).toBeCloseTo(dropV, 6);
  });

  it('is over what it may carry: said before fuse and drop', () => {
    const long = surveyedCircuit('three-way-float', { legs: legsOf(60) });
    const { noSize } = answer({ designCurrentA: 660, rating: fuseOf(1000) }, long);
    // 330 A at 105 °C.
    expect(noSize).toEqual({ largest, limit: 'ampacity', neededFactor: expect.closeTo(2, 6) });
  });

  it('is under a fuse it may not have: said before the drop', () => {
    const long = surveyedCircuit('three-way-float', { legs: legsOf(60) });
    const { noSize } = answer({ designCurrentA: 90, rating: fuseOf(990) }, long);
    expect(noSize).toEqual({ largest, limit: 'fuse', neededFactor: expect.closeTo(2, 6) });
  });

  it('begins a hair beyond each limit of the largest', () => {
    expect([
      answer({ designCurrentA: 330, rating: noRating }).noSize,
      answer({ designCurrentA: 330.01, rating: noRating }).noSize?.limit,
    ]).toEqual([null, 'ampacity']);
    expect([answer({ rating: fuseOf(495) }).noSize, answer({ rating: fuseOf(495.01) }).noSize?.limit]).toEqual([
      null,
      'fuse',
    ]);
  });
});
