import { newCircuit, type Circuit, type Job } from '../job';
import type { Fix } from '../findings';
import { assessedOf, jobOf, legs } from './assess.fixture';
import type { AssessedCircuit } from './assessed';
import { feedOf, fixOfOwn, underOwnFields } from './sharedFeed';

const base = jobOf({ source: { stubLengthM: 0.1 }, choices: { protection: { ratingA: 15 } } });
const [main] = base.circuits;
if (!main) throw new Error('The job has a circuit.');
const other = (id: string, more: Partial<Circuit> = {}): Circuit => ({
  ...newCircuit(id, `The ${id}`, 'plain-switch', 'forward'),
  legs: { ...legs, sourceToPanel: { lengthM: 9 } },
  pump: { currentA: 3 },
  source: { stubLengthM: 0.9 },
  ...more,
});
const jobWith = (...circuits: Circuit[]): Job => ({ ...base, circuits: [...base.circuits, ...circuits] });
const known: ReadonlyMap<string, AssessedCircuit> = new Map([['main', assessedOf(base)]]);
const nothing: ReadonlyMap<string, AssessedCircuit> = new Map();
const namesOf = (others: readonly { readonly id: string }[]) => others.map(({ id }) => id);

describe('a feed of one’s own', () => {
  it('takes nothing over and needs nothing', () => {
    expect(feedOf(base, main, nothing)).toEqual({
      circuit: main,
      others: [],
      shared: null,
      needs: [],
      alarmAlso: null,
    });
  });

  it('feels every circuit that hangs on it, and no other', () => {
    const job = jobWith(
      other('second', { sharesFeedWith: 'main' }),
      other('third', { sharesFeedWith: 'main' }),
      other('apart'),
    );
    const feed = feedOf(job, main, nothing);
    expect(namesOf(feed.others)).toEqual(['second', 'third']);
    expect(feed.others[0]).toEqual({ id: 'second', name: 'The second', pump: { currentA: 3 } });
    expect([feed.shared, feed.circuit]).toEqual([null, main]);
  });

  it('needs the amperes of each of them', () => {
    const job = jobWith(other('second', { sharesFeedWith: 'main', pump: {} }));
    const feed = feedOf(job, main, nothing);
    expect(feed.others).toEqual([]);
    expect(feed.needs).toEqual([
      {
        path: ['sharesFeedWith'],
        label: 'Amperes of The second, on the same feed',
        why: 'the currents of a shared feed add up',
      },
    ]);
  });
});

describe('a feed taken over', () => {
  const second = other('second', { sharesFeedWith: 'main' });
  const third = other('third', { sharesFeedWith: 'main' });
  const feed = feedOf(jobWith(second, third), second, known);

  it('brings battery, source and feed leg along, and leaves the rest', () => {
    expect(feed.circuit).toEqual({
      ...second,
      batteryId: 'house',
      source: { stubLengthM: 0.1 },
      legs: { ...second.legs, sourceToPanel: main.legs.sourceToPanel },
    });
  });

  it('brings no source where that circuit has none surveyed', () => {
    const { source: _none, ...bare } = main;
    const job = { ...base, circuits: [bare, second] };
    expect(feedOf(job, second, known).circuit.source).toBeUndefined();
  });

  it('feels the one whose feed it is and its other followers, not itself', () => {
    expect(namesOf(feed.others)).toEqual(['main', 'third']);
  });

  it('knows rating and sizes in force of stub, fuse and feed, and of nothing beyond', () => {
    const { facts } = assessedOf(base);
    const sizeOf = (id: string) => facts.conductors.find(({ planned }) => planned.id === id)?.size;
    expect(feed.shared).toEqual({
      leaderId: 'main',
      leaderName: 'Main',
      rating: { kind: 'blade', ratingA: 15 },
      sizes: { stub: sizeOf('stub'), feed: sizeOf('feed') },
    });
  });

  it('knows neither while that circuit is not sized', () => {
    expect(feedOf(jobWith(second), second, nothing).shared).toMatchObject({ rating: null, sizes: {} });
    const waiting = new Map<string, AssessedCircuit>([['main', { status: 'incomplete', circuit: main, needs: [] }]]);
    expect(feedOf(jobWith(second), second, waiting).shared).toMatchObject({ rating: null, sizes: {} });
  });

  it('of a circuit that is not there is one’s own', () => {
    const lost = other('lost', { sharesFeedWith: 'gone' });
    expect(feedOf(jobWith(lost), lost, known)).toMatchObject({ shared: null, circuit: lost, others: [] });
  });
});

describe('an alarm that hangs on another circuit as well', () => {
  const ringing = (alsoFrom: string) => other('ringing', { alarm: { alsoFrom } });

  it('feels that one’s pump', () => {
    const job = jobWith(ringing('main'));
    expect(feedOf(job, ringing('main'), known).alarmAlso).toMatchObject({
      id: 'main',
      name: 'Main',
      pump: { currentA: 5 },
    });
    expect(feedOf(job, ringing('main'), known).needs).toEqual([]);
    expect(feedOf(job, other('silent'), known).alarmAlso).toBeNull();
  });

  it('needs its amperes', () => {
    const job = jobWith(ringing('dumb'), other('dumb', { pump: {} }));
    const feed = feedOf(job, ringing('dumb'), known);
    expect(feed.alarmAlso).toBeNull();
    expect(feed.needs).toEqual([
      {
        path: ['alarm', 'alsoFrom'],
        label: 'Amperes of The dumb, whose pump sounds the alarm as well',
        why: 'shows whether one circuit feeds back into the other',
      },
    ]);
  });
});

describe('the assessment of a circuit on another’s feed', () => {
  const own = other('second', { sharesFeedWith: 'main', choices: { family: 'metric', protection: { ratingA: 4 } } });
  const merged = feedOf(jobWith(own), own, known).circuit;
  const sized = assessedOf(jobWith(own), 'second');
  const fixed = (change: Partial<Circuit>, under = own) =>
    fixOfOwn({ label: 'Do it', effect: ['so'], circuit: { ...merged, ...change } }, under);

  it('stands under its own fields', () => {
    expect(underOwnFields({ ...sized, circuit: merged }, own).circuit).toBe(own);
    expect(underOwnFields({ status: 'incomplete', circuit: merged, needs: [] }, own)).toEqual({
      status: 'incomplete',
      circuit: own,
      needs: [],
    });
  });

  it('is left alone where it has a feed of its own', () => {
    const alone: AssessedCircuit = { ...sized, circuit: merged };
    expect(underOwnFields(alone, other('second'))).toBe(alone);
    const fix: Fix = { label: 'Do it', effect: [], circuit: merged };
    expect(fixOfOwn(fix, other('second'))).toBe(fix);
  });

  it('writes nothing of the feed taken over into its own fields', () => {
    const fix = fixed({
      pump: { currentA: 3, makerFuseA: 5 },
      choices: { family: 'awg', protection: { ratingA: 7.5 } },
    });
    expect(fix).toMatchObject({ label: 'Do it', effect: ['so'] });
    expect(fix?.circuit).toEqual({
      ...own,
      pump: { currentA: 3, makerFuseA: 5 },
      choices: { family: 'awg', protection: { ratingA: 4 } },
    });
  });

  it('has no choice of rating where it made none', () => {
    const { choices: _none, ...unchosen } = own;
    const fix = fixed({ pump: { currentA: 4 }, choices: { protection: { ratingA: 7.5 } } }, unchosen);
    expect(fix?.circuit.choices).toEqual({});
    expect(fix?.circuit.batteryId).toBe('forward');
    expect(fix?.circuit.source).toEqual({ stubLengthM: 0.9 });
    const { source: _bare, ...bare } = own;
    expect(fixed({ pump: { currentA: 4 } }, bare)?.circuit.source).toBeUndefined();
  });

  it('offers no fix that would only change the feed taken over', () => {
    expect(fixed({ choices: { ...own.choices, protection: { ratingA: 20 } } })).toBeUndefined();
    expect(fixed({ source: { stubLengthM: 0.05 } })).toBeUndefined();
    expect(fixed({ legs: { ...merged.legs, panelToBilge: { lengthM: 2 } } })?.circuit.legs).toEqual({
      ...own.legs,
      panelToBilge: { lengthM: 2 },
    });
  });

  it('keeps what it took over where the fix parts it from that feed', () => {
    const { sharesFeedWith: _parted, ...alone } = merged;
    const fix: Fix = { label: 'Part', effect: [], circuit: alone };
    expect(fixOfOwn(fix, own)).toBe(fix);
    expect(fixOfOwn(undefined, own)).toBeUndefined();
  });
});
