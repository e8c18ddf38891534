import { conductorList } from '../documents';
import { newCircuit, type Circuit } from '../job';
import { assess, jobOf, sized } from './assess.fixture';
import { assumptionsOf, circuitWorking, conductorWorking } from '../explain';

const battery = { id: 'house', name: 'House' };
const circuit = (more: Partial<Circuit> = {}): Circuit => ({
  ...newCircuit('main', 'Main', 'three-way-float', 'house'),
  pump: { currentA: 5 },
  ...more,
});

describe('what is still assumed', () => {
  const named = (more: Partial<Circuit> = {}) =>
    assumptionsOf(circuit(more), battery, 'metric').map(({ what, assumed }) => `${what}: ${assumed}`);

  it('is listed with its value, and goes as it is measured', () => {
    expect(named()).toEqual(
      expect.arrayContaining(['Winding: 480\u00a0mΩ', 'Maker’s fuse: no limit', 'Battery to fuse: 150\u00a0mm']),
    );
    expect(named({ pump: { currentA: 5, windingOhm: 0.6, makerFuseA: 10 } }).join()).not.toMatch(/Winding|Maker/);
  });

  it('does not speak of a float where there is none', () => {
    expect(named().join()).toContain('Float contact');
    expect(named({ scheme: 'plain-switch' }).join()).not.toContain('Float contact');
  });

  it('says what measuring would change', () => {
    for (const { changes } of assumptionsOf(circuit(), battery, 'us')) expect(changes.length).toBeGreaterThan(10);
  });
});

describe('the working', () => {
  it('of a conductor in pieces shows each piece and their sum', () => {
    const job = jobOf({});
    const [one] = assess({
      ...job,
      circuits: job.circuits.map((each) => ({
        ...each,
        legs: { ...each.legs, panelToBilge: { lengthM: 3, further: [{ lengthM: 2, engineSpace: true, bundled: 3 }] } },
      })),
    });
    if (one?.status !== 'sized') throw new Error('not sized');
    const steps = conductorWorking(one.facts, 'manual');
    expect(steps.map(({ what }) => what)).toEqual([
      'Resistance of piece 1',
      'Resistance of piece 2',
      'Resistance',
      'Drop',
      'Ampacity of piece 1',
      'Ampacity of piece 2',
    ]);
    expect(steps[5]?.sum).toContain('× 0.85 (engine space) × 0.7 (3 bundled)');
    expect(steps[5]?.source).toContain('column 105 °C');
  });

  it('of a metric conductor names its class and row', () => {
    const { facts } = sized({ choices: { family: 'metric' } });
    const [resistance] = conductorWorking(facts, 'feed');
    expect(resistance?.sum).toContain('5.09 mΩ/m × 1.0393 (30 °C) × 3 m');
    expect(resistance?.source).toContain('IEC 60228 class 5, tinned; table row 4 mm²: 5.09 Ω/km');
  });

  it('of the circuit adds up the drops in the way of the current, and no others', () => {
    const { facts } = sized({});
    const [drop] = circuitWorking(facts);
    const terms = (drop?.sum.split(' = ')[0] ?? '').split(' + ').map(Number);
    expect(terms).toHaveLength(4);
    expect(terms.reduce((sum, term) => sum + term, 0)).toBeCloseTo(facts.dropV, 2);
    expect(drop?.source).toMatch(/^stub before the fuse, feed, (manual|auto) positive, negative;/);
  });

  it('of a measured winding says so', () => {
    const { facts } = sized({ pump: { currentA: 5, windingOhm: 0.6 } });
    expect(circuitWorking(facts).find(({ what }) => what === 'Winding')?.sum).toBe('600\u00a0mΩ, measured');
  });

  it('has nothing to show for a conductor that is not there', () => {
    expect(conductorWorking(sized({}).facts, 'keel')).toEqual([]);
  });
});

describe('the list of conductors', () => {
  it('has a line for each conductor of each sized circuit, in the order of the current', () => {
    const { headings, rows } = conductorList(assess(jobOf({})));
    expect(rows.map((row) => row[1])).toEqual([
      'Stub before the fuse',
      'Feed',
      'Manual positive',
      'Auto positive',
      'Negative',
    ]);
    for (const row of rows) expect(row).toHaveLength(headings.length);
    expect(rows[3]?.slice(2, 7)).toEqual([
      'Manual / off / auto, auto',
      'J1, cable',
      'brown with white stripe',
      '12 AWG',
      '5',
    ]);
  });

  it('leaves out circuits that are not surveyed yet', () => {
    const job = jobOf({});
    expect(conductorList(assess({ ...job, circuits: [circuit({ pump: {} })] })).rows).toEqual([]);
  });
});
