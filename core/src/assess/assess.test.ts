import { assess } from './assess';
import { standingOf, worstStanding } from './standing';
import { jobOf, sized } from './assess.fixture';
import { conductorWorking, protectionReasons } from '../explain';
import { assessReport } from './report';

describe('the answer as a whole', () => {
  it('lists what the survey still needs instead of guessing it', () => {
    const job = jobOf({});
    const [circuit] = job.circuits;
    if (!circuit) throw new Error('no circuit');
    const [open] = assess({
      ...job,
      circuits: [{ ...circuit, pump: {}, legs: { ...circuit.legs, panelToBilge: {} } }],
    });
    if (!open) throw new Error('no circuit');
    expect(open.status === 'incomplete' && open.needs.map((need) => need.path.join('.'))).toEqual([
      'legs.panelToBilge.lengthM',
      'pump.currentA',
    ]);
    expect(standingOf(open)).toBe('incomplete');
    expect(worstStanding(['good', 'caution', 'incomplete'])).toBe('caution');
    expect(worstStanding([])).toBe('incomplete');
  });

  it('gives the pump less from 12.0 V than from 13.6 V, in volts, speed and open flow', () => {
    const { supplies } = sized({ pump: { currentA: 5, openFlowLPerH: 3000 } }).facts;
    expect(supplies.map(({ supplyV }) => supplyV)).toEqual([12, 12.8, 13.6]);
    const rising = (values: readonly (number | null)[]) =>
      values.every((value, index) => index === 0 || (value ?? 0) > (values[index - 1] ?? 0));
    expect(
      [
        supplies.map((row) => row.pumpV),
        supplies.map((row) => row.speedRatio),
        supplies.map((row) => row.openFlowLPerH),
      ].every(rising),
    ).toBe(true);
    expect(supplies[2]?.openFlowLPerH).toBeLessThan(3000);
  });

  it('shows its working and its reasons in step with its figures', () => {
    const answer = sized({ engineSpace: true });
    const manual = answer.facts.conductors.find(({ planned }) => planned.id === 'manual');
    const working = conductorWorking(answer.facts, 'manual');
    expect(working.map(({ what }) => what)).toEqual(['Resistance', 'Drop', 'Ampacity']);
    expect(working[0]?.sum).toContain(`= ${((manual?.resistanceOhm ?? 0) * 1000).toFixed(2)} mΩ`);
    expect(working[2]?.sum).toContain('× 0.85 (engine space)');
    const reasons = protectionReasons(answer.facts, answer.findings);
    expect(reasons).toHaveLength(8);
    // A maker's figure that nobody read is not good, nor is a stalled pump whose winding may turn the verdict.
    expect(reasons.flatMap(({ question, verdict }) => (verdict === null ? [] : [[question, verdict]]))).toEqual([
      ['Within the maker’s figure', 'note'],
      ['Opens on a stalled pump', 'note'],
      ['Can break a short beside the battery', 'caution'],
    ]);
    const read = sized({ pump: { currentA: 5, makerFuseA: 10, thermalGuard: 'label' } });
    const known = protectionReasons(read.facts, read.findings).filter(({ verdict }) => verdict !== null);
    expect(known.map(({ question }) => question)).toEqual(['Can break a short beside the battery']);
  });

  it('reports plain numbers under the names of the contract', () => {
    const report = JSON.parse(JSON.stringify(assessReport(jobOf({}))));
    expect(report.circuits[0]).toMatchObject({
      id: 'main',
      designCurrentA: 5,
      pumpV: expect.any(Number),
      flowLPerH: null,
      protection: { ratingA: 7.5, kind: 'blade', opensWithinS: expect.any(Number) },
    });
    expect(JSON.stringify(report)).not.toMatch(/NaN|Infinity/);
  });
});
