import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import { newCircuit, newJob, type Circuit, type Job } from '../job';
import { schemeKeys } from '../schemes';
import { assess } from './assess.fixture';
import { assessReport } from './report';

const legs = { sourceToPanel: { lengthM: 3 }, panelToBilge: { lengthM: 5 }, bilgeToNegative: { lengthM: 5 } };
const circuitOf = (scheme: string, more: Partial<Circuit> = {}, id = 'main'): Circuit => ({
  ...newCircuit(id, id, scheme, 'house'),
  legs,
  pump: { currentA: 5 },
  ...more,
});
const jobOf = (...circuits: readonly Circuit[]): Job => ({
  ...newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern'),
  circuits: [...circuits],
});
const findingsOf = (scheme: string, more: Partial<Circuit> = {}, ...others: readonly Circuit[]) => {
  const [assessed] = assess(jobOf(circuitOf(scheme, more), ...others));
  if (!assessed || assessed.status === 'incomplete') throw new Error('incomplete');
  return assessed.findings;
};
const codes = (...args: Parameters<typeof findingsOf>) => findingsOf(...args).map(({ code }) => code);
const find = (code: string, ...args: Parameters<typeof findingsOf>) => {
  const found = findingsOf(...args).find((finding) => finding.code === code);
  if (!found) throw new Error(`no ${code}`);
  return found;
};

/** Codes of what only the solver sees. */
const SEEN = [
  'manual-dead',
  'float-in-manual-path',
  'auto-lead-dead',
  'runs-when-off',
  'never-stops',
  'pump-reversed',
  'sensor-reversed',
  'sneak-path-light',
  'light-never-lights',
  'light-misses',
  'back-feed-between-circuits',
  'relay-chatters',
  'relay-does-not-pull-in',
  'legs-fused-apart',
  'alarm-wrong',
];

describe('every scheme wired as planned', () => {
  it.each(schemeKeys)('%s shows nothing that only a mistake would show, with its lights', (scheme) => {
    const seen = codes(scheme, { panel: { light: 'led', armedLight: 'led', tapFuseA: 1 } });
    expect(seen.filter((code) => SEEN.includes(code))).toEqual([]);
  });

  it.each(schemeKeys)('%s is sized: conductors, and a fuse where there is a pump', (scheme) => {
    const [report] = assessReport(jobOf(circuitOf(scheme))).circuits;
    expect(report).toMatchObject({ status: 'sized' });
    const { conductors, protection } = report as { conductors: { size: string }[]; protection: unknown };
    expect(conductors.length).toBeGreaterThan(1);
    for (const { size } of conductors) expect(size).toMatch(/AWG/);
    expect(protection === null).toBe(scheme === 'standalone-alarm');
  });

  it('can be switched to any other scheme without losing a figure or failing', () => {
    fc.assert(
      fc.property(fc.constantFrom(...schemeKeys), fc.double({ min: 0.5, max: 40, noNaN: true }), (scheme, currentA) => {
        const job = jobOf(circuitOf(scheme, { pump: { currentA }, manual: 'momentary', floatA: 10 }));
        const [assessed] = assess(job);
        expect(assessed?.circuit).toEqual(job.circuits[0]);
        expect(assessed?.status).not.toBe('incomplete');
      }),
      runs(60),
    );
  });
});

describe('what the solver sees of wiring found otherwise', () => {
  const rewired = (change: Circuit['rewired'], scheme = 'three-way-float') => codes(scheme, { rewired: change });

  it.each<[string, string, Circuit['rewired']]>([
    ['float-in-manual-path', 'manual on the float’s supply side', { moved: { manual: { to: 'joint-float.cable' } } }],
    ['auto-lead-dead', 'the auto conductor taken off', { removed: ['auto'] }],
    ['manual-dead', 'the manual conductor taken off', { removed: ['manual'] }],
    ['never-stops', 'the auto conductor past the float', { moved: { auto: { to: 'joint-pump.cable' } } }],
    [
      'runs-when-off',
      'a jumper from common to manual',
      {
        added: [{ id: 'added-1', from: 'switch.common', to: 'switch.manual' }],
      },
    ],
    [
      'pump-reversed',
      'the pump’s leads swapped',
      {
        moved: { 'pump-lead-plus': { to: 'pump.minus' }, 'pump-lead-minus': { from: 'pump.plus' } },
      },
    ],
    ['conductor-to-nowhere', 'a conductor on a part that is not there', { moved: { auto: { to: 'bilge.in' } } }],
    [
      'overloaded-as-found',
      'the feed shorted to negative',
      {
        added: [{ id: 'added-1', from: 'switch.common', to: 'bus.main' }],
      },
    ],
  ])('%s: %s', (code, _what, change) => {
    expect(rewired(change)).toContain(code);
    expect(rewired(change)).toContain(code === 'conductor-to-nowhere' ? code : 'wired-otherwise');
  });

  it('says the differences in words, under the names printed on the panel', () => {
    const found = find('wired-otherwise', 'three-way-float', {
      rewired: { moved: { auto: { from: 'switch.manual' } } },
      panel: { posts: { 'switch.auto': '3', 'switch.manual': 'M' } },
    });
    expect(found.message).toContain(
      'Auto positive: moved from Manual / off / auto, post 3 (auto) to Manual / off / auto, post M (manual).',
    );
  });

  it('puts it back to plan in one tap, which is tried before it is offered', () => {
    const { fix } = find('auto-lead-dead', 'three-way-float', { rewired: { removed: ['auto'] } });
    expect(fix?.label).toBe('Put the wiring back to plan');
    expect(fix?.circuit.rewired).toBeUndefined();
  });

  it('names a reversed sensor', () => {
    const change = {
      moved: { 'sensor-lead-supply': { to: 'float.minus' }, 'sensor-lead-negative': { from: 'float.plus' } },
    };
    expect(rewired(change, 'probe-sensor')).toEqual(expect.arrayContaining(['sensor-reversed', 'auto-lead-dead']));
  });

  it('keeps the sizes of the plan', () => {
    const sizes = (change?: Circuit['rewired']) => {
      const [assessed] = assess(jobOf(circuitOf('three-way-float', change ? { rewired: change } : {})));
      return assessed?.status === 'sized' ? assessed.facts.conductors.map(({ size, dropV }) => [size, dropV]) : [];
    };
    expect(sizes({ removed: ['auto', 'negative'] })).toEqual(sizes());
  });
});

describe('lights', () => {
  it('from post to post glow through the winding; the fix wires them to negative', () => {
    const found = find('sneak-path-light', 'three-way-float', {
      panel: { light: 'led', lightWired: 'auto-to-manual' },
    });
    expect(found.message).toContain('the switch on auto and the float down');
    expect(found.message).toContain('return through the pump’s winding');
    expect(found.fix?.circuit.panel?.lightWired).toBe('to-negative');
  });

  it('that say auto is selected are lit backwards through the float on manual: a note', () => {
    expect(find('sneak-path-armed', 'three-way-float', { panel: { armedLight: 'led' } }).severity).toBe('note');
  });
});

describe('contacts and relays', () => {
  it('a float under the pump’s current is a stop, and a relay answers it in one tap', () => {
    const found = find('contact-over-rating', 'three-way-float', { floatA: 3 });
    expect(found).toMatchObject({ severity: 'stop', at: ['float'] });
    expect(found.fix?.circuit.scheme).toBe('relay');
    expect(codes('relay', { floatA: 3 })).not.toContain('contact-over-rating');
  });

  it('a relay’s own contact is judged by what the pump draws', () => {
    expect(find('contact-over-rating', 'relay', { relay: { contactA: 4 } }).at).toEqual(['relay']);
  });

  it('a coil without a suppressor is a caution with its diode as the fix', () => {
    const found = find('coil-unsuppressed', 'relay', { relay: { suppression: 'none' } });
    expect(found.fix?.circuit.relay?.suppression).toBe('diode');
  });

  it('a relay that hardly pulls in from 12 V is a caution, one that does not is a stop', () => {
    expect(codes('relay', { relay: { pullInV: 7.2 } })).not.toContain('relay-pull-in-margin');
    expect(codes('relay', { relay: { pullInV: 11 } })).toContain('relay-pull-in-margin');
    expect(codes('relay', { relay: { pullInV: 12.5, dropOutV: 1 } })).toContain('relay-does-not-pull-in');
  });

  it('a feed too thin to hold the coil is said to chatter, and the circuit is still shown', () => {
    const long = { ...legs, sourceToPanel: { lengthM: 100 } };
    const conductors = { feed: '16 AWG' } as const;
    const relay = { dropOutV: 5 };
    const found = codes('relay', { pump: { currentA: 40 }, legs: long, choices: { conductors }, relay });
    expect(found).toContain('relay-chatters');
  });
});

describe('an alarm on two circuits', () => {
  const primary = circuitOf('three-way-float', {}, 'primary');

  it('without diodes lets one circuit run the other’s pump: a stop, and diodes answer it', () => {
    const found = find(
      'back-feed-between-circuits',
      'backup-alarm',
      { alarm: { alsoFrom: 'primary', diodes: false } },
      primary,
    );
    expect(found.severity).toBe('stop');
    expect(found.fix?.circuit.alarm?.diodes).toBe(true);
    expect(codes('backup-alarm', { alarm: { alsoFrom: 'primary' } }, primary)).not.toContain(
      'back-feed-between-circuits',
    );
  });
});

describe('legs fused apart', () => {
  const apart = (ratingA: number) => ({
    panel: { legFuses: { kind: 'blade' as const, manualA: ratingA, autoA: ratingA } },
    choices: { protection: { kind: 'blade' as const, ratingA: 30 } },
  });

  it('leave a stalled pump live through both: a stop, answered by one common fuse', () => {
    const found = find('legs-fused-apart', 'hot-auto', apart(7.5));
    expect(found).toMatchObject({ severity: 'stop' });
    expect(found.message).toMatch(/draws [\d.]+.A through manual and [\d.]+.A through auto/);
    expect(found.fix?.circuit.panel?.legFuses).toBeUndefined();
  });

  it('are no stop behind a common fuse that opens in time', () => {
    const common = { ...apart(7.5), choices: {} };
    expect(codes('hot-auto', common)).not.toContain('legs-fused-apart');
  });
});

describe('a stand-alone alarm', () => {
  it('that cannot call is a stop; wired right it has no finding', () => {
    expect(codes('standalone-alarm')).toEqual([]);
    expect(codes('standalone-alarm', { rewired: { removed: ['alarm-out'] } })).toContain('alarm-wrong');
  });
});
