import { faultOf, onBench, restingBench, type FaultCode } from '../circuit';
import { schemeKeys } from '../schemes';
import { plainNetlist, planFor, surveyedCircuit } from '../schemes/schemes.fixture';
import type { Circuit } from '../job';
import { consequences, type Consequences } from './consequences';

function made(scheme: string, code: FaultCode, at: string, more: Partial<Circuit> = {}): Consequences {
  const plan = planFor(surveyedCircuit(scheme, more));
  const planned = plainNetlist(plan);
  return consequences(planned, onBench(planned, { ...restingBench, faults: [{ code, at }] }), plan, 100);
}

describe('what a fault makes of a circuit', () => {
  it('says of manual and auto on each other’s posts that auto drains the battery', () => {
    const { sentences, should } = made('three-way-float', 'swapped-at-panel', 'manual~auto');
    expect(sentences[0]).toMatch(
      /^On auto it runs with or without water, until the battery is flat: about \d+ h from full\.$/,
    );
    expect(sentences[1]).toBe('On manual it runs only while the water is high.');
    expect([...should.keys()].sort()).toEqual(['switch=auto float=down', 'switch=manual float=down']);
    expect(should.get('switch=auto float=down')?.pump).toBe('standing');
  });

  it('says of a float stuck up that auto runs until the battery is flat', () => {
    expect(made('three-way-float', 'stuck-up', 'float').sentences).toEqual([
      expect.stringMatching(
        /^On auto it runs with or without water, until the battery is flat: about 2\d h from full\.$/,
      ),
    ]);
  });

  it('says of an open auto conductor that auto never starts', () => {
    expect(made('three-way-float', 'open', 'auto').sentences).toEqual([
      'On auto it does not run, however high the water.',
    ]);
  });

  it('says of a locked rotor what it draws, and of its fuse that it opens', () => {
    const { sentences } = made('three-way-float', 'rotor-locked', 'pump');
    expect(sentences[0]).toMatch(/^On auto it does not run: it is .*, and draws \d+/);
    expect(sentences.some((one) => /^The 1.A fuse carries [\d.]+.A: it opens after /.test(one))).toBe(true);
  });

  it('says of a turned pump that it lifts little', () => {
    expect(made('three-way-float', 'polarity-reversed', 'pump').sentences).toContain(
      'It turns backwards: it sounds right and lifts little or no water.',
    );
  });

  it('says of a corroded joint that the pump is slower, with its volts', () => {
    const plan = planFor(surveyedCircuit('three-way-float'));
    const planned = plainNetlist(plan);
    const faults = [{ code: 'corroded' as const, at: 'negative', degree: 0.3 }];
    const [first] = consequences(planned, onBench(planned, { ...restingBench, faults }), plan, 100).sentences;
    expect(first).toMatch(/^On auto it runs slower and moves less: [\d.]+.V at the pump instead of [\d.]+.V\.$/);
  });

  it('says of a light that it is dark where it should be lit', () => {
    const { sentences } = made('three-way-float', 'light-negative-missing', 'light', { panel: { light: 'led' } });
    expect(sentences).toEqual([expect.stringMatching(/^Running light dark on “.*”, where it should be lit\.$/)]);
  });

  it('says that nothing shows where nothing does', () => {
    const plan = planFor(surveyedCircuit('three-way-float'));
    const planned = plainNetlist(plan);
    const { sentences, should } = consequences(planned, planned, plan, 100);
    expect(sentences).toEqual(['The circuit still does what it should: no lamp or pump shows it.']);
    expect(should.size).toBe(0);
  });

  it.each(schemeKeys)(
    'says something of every fault of %s, and marks a row wherever it says that the pump does otherwise',
    (scheme) => {
      const plan = planFor(surveyedCircuit(scheme));
      const planned = plainNetlist(plan);
      const codes: readonly FaultCode[] = [
        'open',
        'stuck-up',
        'stuck-down',
        'swapped-at-panel',
        'blown-fuse',
        'rotor-locked',
      ];
      for (const code of codes) {
        for (const { id } of faultOf(code).sites(planned)) {
          const now = onBench(planned, { ...restingBench, faults: [{ code, at: id }] });
          const { sentences, should, rows } = consequences(planned, now, plan, 100);
          expect(sentences.length).toBeGreaterThan(0);
          for (const sentence of sentences) expect(sentence).toMatch(/^[A-Z].*\.$/);
          const otherwise = rows.filter(({ key, runs }) => {
            const meant = should.get(key);
            return meant !== undefined && meant.runs !== runs;
          });
          if (otherwise.length > 0) expect(sentences.join(' ')).not.toContain('no lamp or pump shows it');
        }
      }
    },
  );
});
