import { bySeverity, findingId, severityRank, worstSeverity, type Severity } from './finding';
import { poseOf, waterOf } from './water.fixture';
import { boundInWords, poseName, waterSpeech } from './waterWords';

const of = (severity: Severity, name: string) => ({ severity, name });

test('severities rank from stop over caution and note to nothing', () => {
  expect((['stop', 'caution', 'note', null] as const).map(severityRank)).toEqual([0, 1, 2, 3]);
});

test('findings are sorted worst first, and equal ones keep their order', () => {
  const all = [of('note', 'a'), of('stop', 'b'), of('caution', 'c'), of('stop', 'd')];
  expect(bySeverity(all).map(({ name }) => name)).toEqual(['b', 'd', 'c', 'a']);
  expect(all.map(({ name }) => name)).toEqual(['a', 'b', 'c', 'd']);
  expect(worstSeverity(all)).toBe('stop');
  expect(worstSeverity([of('note', 'a'), of('caution', 'b')])).toBe('caution');
  expect(worstSeverity([])).toBeNull();
});

test('an id is the code with its first place', () => {
  expect(findingId({ code: 'fuse-far', at: ['stub', 'fuse'] })).toBe('fuse-far@stub');
  expect(findingId({ code: 'drop-over-school', at: [] })).toBe('drop-over-school');
});

describe('figures of water', () => {
  it('are said in one unit system, metres and feet to what a hand can measure', () => {
    const [metric, us] = [waterSpeech('metric'), waterSpeech('us')];
    expect([metric.height(0.0184), us.height(0.0184)]).toEqual(['18\u00a0mm', '0.7\u00a0in']);
    expect(metric.height(0.0184, 1)).toBe('18.4\u00a0mm');
    expect([metric.flow(2100), us.flow(2100)]).toEqual(['2100\u00a0L/h', '555\u00a0gal/h']);
    expect([metric.head(1.254), us.head(1.254)]).toEqual(['1.25\u00a0m', '4.1\u00a0ft']);
    expect([metric.volume(0.84), us.volume(0.84)]).toEqual(['0.84\u00a0L', '0.22\u00a0gal']);
  });

  const rest = { rule: 'limit', pose: 'rest', about: 'floor' } as const;

  it('name what ends a height: the rule, the thing, and the pose where there are several', () => {
    expect(boundInWords(waterOf(), rest)).toBe('what must stay dry (Floorboards)');
    const two = waterOf({ poses: [poseOf('rest'), poseOf('Heeled')] });
    expect(boundInWords(two, rest)).toBe('what must stay dry (Floorboards), at rest');
    expect(boundInWords(two, { ...rest, about: 'gone' })).toBe('what must stay dry, at rest');
    expect(boundInWords(two, { rule: 'floor', pose: 'Heeled' })).toBe('the hull under it');
    expect(
      (['prime', 'drain-back', 'order'] as const).map((rule) => boundInWords(two, { rule, pose: 'Heeled' })),
    ).toEqual([
      'the pump must stop before it sucks air, heeled',
      'the hose’s own water must not start it again, heeled',
      'it comes after the first pump’s float, heeled',
    ]);
    expect(boundInWords(waterOf({ survey: { ...waterOf().survey, limits: [] } }), rest)).toBe('what must stay dry');
  });

  it('call a pose by its name, or by its id where it is gone', () => {
    expect(poseName(waterOf(), 'rest')).toBe('At rest');
    expect(poseName(waterOf(), 'gone')).toBe('gone');
  });
});
