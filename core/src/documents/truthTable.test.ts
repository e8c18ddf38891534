import { plainNetlist, planFor, surveyedCircuit } from '../schemes/schemes.fixture';
import { truthTableText, truthWords } from './truthTable';

const plan = planFor(surveyedCircuit('three-way-float', { panel: { light: 'led' } }));
const rows = truthWords(plainNetlist(plan), plan);

describe('the truth table', () => {
  it('has a line for every position of switch and float, in words', () => {
    expect(rows.map(({ setting, pump, others }) => [setting, pump, ...others])).toEqual([
      ['Off, float down', 'standing', 'Running light dark'],
      ['Off, float up', 'standing', 'Running light dark'],
      ['Manual, float down', 'running', 'Running light lit'],
      ['Manual, float up', 'running', 'Running light lit'],
      ['Auto, float down', 'standing', 'Running light dark'],
      ['Auto, float up', 'running', 'Running light lit'],
    ]);
  });

  it('sets what runs beside what was expected, and leaves the rest open', () => {
    const expects = { 'switch=auto float=up': 'runs', 'switch=off float=up': 'runs' };
    const text = truthTableText(rows, expects);
    const told = text.rows.map((cells) => cells.slice(-2));
    expect(told).toEqual([
      ['', ''],
      ['runs', 'no'],
      ['', ''],
      ['', ''],
      ['', ''],
      ['runs', 'yes'],
    ]);
    expect(text.rows.every((cells) => cells.length === text.headings.length)).toBe(true);
  });

  it('says of a relay that chatters that it does, in place of figures', () => {
    const relayed = planFor(surveyedCircuit('relay', { relay: { dropOutV: 7 } }));
    const weak = plainNetlist(relayed);
    const fed = {
      ...weak,
      conductors: weak.conductors.map((wire) => (wire.id === 'feed' ? { ...wire, ohm: 3 } : wire)),
    };
    const chattering = truthWords(fed, relayed).find(({ setting }) => setting === 'Auto, float up');
    expect(chattering).toMatchObject({ pump: 'chatters', runs: false, batteryA: null });
  });

  it('says wet and dry of what has no float', () => {
    for (const scheme of ['probe-sensor', 'sensing-pump']) {
      const feeling = planFor(surveyedCircuit(scheme));
      const settings = truthWords(plainNetlist(feeling), feeling).map(({ setting }) => setting);
      expect(settings).toContain('Auto, wet');
      expect(settings).toContain('Off, dry');
    }
  });

  it('tells an alarm with its own battery by its sound', () => {
    const alone = planFor(surveyedCircuit('standalone-alarm'));
    expect(truthWords(plainNetlist(alone), alone).map(({ setting, pump, runs }) => [setting, pump, runs])).toEqual([
      ['Float down', 'silent', false],
      ['Float up', 'sounding', true],
    ]);
  });
});
