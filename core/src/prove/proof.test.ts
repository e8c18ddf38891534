import { assess } from '../assess';
import { jobWith } from '../build/build.fixture';
import type { Job } from '../job';
import { entryHash, hashOf, knownEntry, standing, type BodyOf, type Entry, type RecordKind } from '../records';
import { phone, signedBy } from '../records/records.fixture';
import { nextTest, proofList, sumOf } from './proofList';
import { proofNow } from './proofNow';
import { provingOf } from './proving';
import { signedBody } from './signOff';
import type { ProveTest } from './proveTest';

const job = jobWith('three-way-float', { panel: { light: 'led' } });
const longer: Job = {
  ...job,
  circuits: job.circuits.map((circuit) => ({
    ...circuit,
    legs: { ...circuit.legs, panelToBilge: { lengthM: 7 } },
  })),
};

/** Records of a boat, as they are written one after the other. */
class Log {
  readonly entries: Entry[] = [];
  private count = 0;

  add<K extends RecordKind>(kind: K, body: BodyOf<K>, more: Partial<Entry> = {}): string {
    this.count += 1;
    const plain = JSON.parse(JSON.stringify(body)) as Entry['body'];
    const madeAt = new Date(Date.UTC(2026, 4, 1) + this.count * 60_000).toISOString();
    const { entry } = signedBy(phone, this.count, { kind, body: plain, madeAt, circuit: 'main', ...more });
    expect(knownEntry(entry)).not.toBeNull();
    this.entries.push(entry);
    return entry.id;
  }
  readonly hash = (id: string) => {
    const entry = this.entries.find((one) => one.id === id);
    return entry ? entryHash(entry) : '';
  };
  now() {
    return proofNow(standing(this.entries), 'main', 'commission', this.hash);
  }
  proving(of: Job) {
    const now = this.now();
    const one = assess(of).find(({ circuit }) => circuit.id === 'main');
    const proving = one && provingOf(of, one, 'commission', now.battery, now.signed?.body ?? null);
    if (!proving) throw new Error('not sized');
    return { now, ...proving, list: proofList(now, proving.tests, proving.voided) };
  }
  begin() {
    return this.add('proofBegun', { phase: 'commission', jobHash: hashOf(job), testsHash: hashOf('x') });
  }
  read(proof: string | null, test: ProveTest, read: BodyOf<'reading'>['read'], more: Partial<BodyOf<'reading'>> = {}) {
    const expect = 'state' in test.expect ? { state: test.expect.state } : test.expect;
    return this.add('reading', { proof, test: test.id, words: test.text, read, expect, verdict: 'pass', ...more });
  }
  /** Reads every needed test as it should be. */
  readAll(proof: string | null, of: Job, only: (id: string) => boolean = () => true) {
    for (const { test } of this.proving(of).list)
      if (test.needed && only(test.id))
        this.read(
          proof,
          test,
          'state' in test.expect ? { said: test.expect.state } : { value: test.expect.nominal, unit: test.expect.unit },
        );
  }
  sign(of: Job, name = 'Wren') {
    const { now, list } = this.proving(of);
    return this.add(
      'proof',
      signedBody({
        phase: 'commission',
        job: of,
        now,
        list,
        accepted: [],
        name,
        role: '',
        note: '',
        hashOf: this.hash,
      }),
    );
  }
}
const testIn = (log: Log, id: string) => {
  const test = log.proving(job).tests.find((one) => one.id === id);
  if (!test) throw new Error(`No test ${id}.`);
  return test;
};
const outcome = (log: Log, id: string, of: Job = job) =>
  log.proving(of).list.find(({ test }) => test.id === id)?.outcome;

describe('an open proof', () => {
  it('goes by the battery as it is read in it', () => {
    const log = new Log();
    const proof = log.begin();
    log.read(proof, testIn(log, 'battery-resting'), { value: 12.4, unit: 'V' });
    expect(log.now().battery).toEqual({ restingV: 12.4 });
    const { expect: wanted } = testIn(log, 'volts-common-off-down');
    expect('state' in wanted ? 0 : wanted.nominal).toBeCloseTo(12.4, 6);
    log.read(proof, testIn(log, 'battery-resting'), { value: 126, unit: 'V' });
    expect(log.now().battery).toEqual({});
  });

  it('shows what is next, takes a reading back by another, and leaves out with a reason, which is no pass', () => {
    const log = new Log();
    const proof = log.begin();
    expect(nextTest(log.proving(job).list, null)?.test.id).toBe('battery-resting');
    const wrong = log.read(proof, testIn(log, 'battery-resting'), { value: 9, unit: 'V' });
    expect(outcome(log, 'battery-resting')).toBe('miss');
    log.read(proof, testIn(log, 'battery-resting'), { value: 12.7, unit: 'V' }, { replaces: wrong });
    expect(outcome(log, 'battery-resting')).toBe('pass');
    log.add('skipped', { proof, test: 'no-restart', words: 'Wait', reason: 'Tide' });
    expect(outcome(log, 'no-restart')).toBe('left out');
    expect(nextTest(log.proving(job).list, 'battery-resting')?.test.id).toBe('dead-common');
    expect(sumOf(log.proving(job).list)).toMatchObject({ passed: 1, leftOut: 1, proved: false });
  });

  it('begun on two phones at once is one list, signed together', () => {
    const log = new Log();
    const [mine, theirs] = [log.begin(), log.begin()];
    log.readAll(mine, job, (id) => id.startsWith('dead'));
    log.readAll(theirs, job, (id) => !id.startsWith('dead'));
    expect(sumOf(log.proving(job).list)).toMatchObject({ missing: 0, proved: true });
    log.sign(job);
    expect(log.now()).toMatchObject({ begun: [], signed: { body: { result: 'proved', proofs: [mine, theirs] } } });
  });

  it('one test read by two people keeps both; the later counts, and a correction whatever the clocks say', () => {
    const log = new Log();
    const proof = log.begin();
    const test = testIn(log, 'ohms-manual-negative');
    const ahead = { madeAt: '2026-05-02T12:00:00.000Z', by: 'Heron' };
    const theirs = log.add(
      'reading',
      { proof, test: test.id, words: '', read: { value: 9, unit: 'Ω' }, expect: null, verdict: 'miss' },
      ahead,
    );
    log.read(proof, test, { value: 0.7, unit: 'Ω' });
    // A clock that is a day ahead: its reading counts until it is corrected by name.
    expect(outcome(log, test.id)).toBe('miss');
    expect(log.now().others.get(test.id)).toHaveLength(1);
    log.read(proof, test, { value: 0.7, unit: 'Ω' }, { replaces: theirs });
    expect(outcome(log, test.id)).toBe('pass');
  });
});

describe('a sign-off', () => {
  it('names every reading by its fingerprint, and is no proof with tests missing', () => {
    const log = new Log();
    const proof = log.begin();
    const one = log.read(proof, testIn(log, 'battery-resting'), { value: 12.7, unit: 'V' });
    log.sign(job);
    const { signed } = log.now();
    expect(signed?.body.result).toBe('not proved');
    expect(signed?.body.tests.find(({ id }) => id === 'battery-resting')?.reading).toBe(log.hash(one));
    expect(signed?.body.tests.filter(({ outcome: of }) => of === 'not done').length).toBeGreaterThan(10);
    expect(signed?.body.jobHash).toBe(hashOf(job));
  });

  it('does not call proved what missed, was to be looked at again, or was left out', () => {
    for (const spoil of [
      (log: Log, proof: string) => log.read(proof, testIn(log, 'amps-manual-down'), { value: 9, unit: 'A' }),
      (log: Log, proof: string) => log.read(proof, testIn(log, 'amps-manual-down'), { value: 4.9, unit: 'A' }),
    ]) {
      const log = new Log();
      const proof = log.begin();
      log.readAll(proof, job);
      expect(sumOf(log.proving(job).list).proved).toBe(true);
      spoil(log, proof);
      expect(sumOf(log.proving(job).list).proved).toBe(false);
    }
  });

  it('lists what came after it', () => {
    const log = new Log();
    const proof = log.begin();
    log.readAll(proof, job);
    log.sign(job);
    expect(log.now().afterSigning).toEqual([]);
    const late = log.read(proof, testIn(log, 'outlet-after'), { said: 'water comes back in' });
    expect(log.now().afterSigning.map(({ id }) => id)).toEqual([late]);
  });
});

describe('after the sign-off', () => {
  const proved = () => {
    const log = new Log();
    log.readAll(log.begin(), job);
    log.sign(job);
    return log;
  };

  it('everything stands while nothing changes', () => {
    const { list, voided } = proved().proving(job);
    expect(voided).toEqual([]);
    expect(list.filter(({ test }) => test.needed).every(({ outcome: of }) => of === 'stands')).toBe(true);
    expect(sumOf(list).proved).toBe(true);
  });

  it('a changed cable makes some tests due, which a new proof reads alone; the others stand', () => {
    const log = proved();
    const { list } = log.proving(longer);
    const due = list.filter((one) => one.due).map(({ test }) => test.id);
    expect(due).toContain('sense-auto');
    expect(due).not.toContain('dead-common');
    expect(sumOf(list)).toMatchObject({ proved: false, missing: due.length });
    const again = log.begin();
    log.readAll(again, longer, (id) => due.includes(id));
    expect(sumOf(log.proving(longer).list).proved).toBe(true);
    log.sign(longer);
    const { list: after } = log.proving(longer);
    expect(after.some((one) => one.due)).toBe(false);
    expect(log.now().signed?.body.tests.find(({ id }) => id === 'dead-common')?.outcome).toBe('stands');
  });

  it('a proof that is begun anew takes nothing over', () => {
    const log = proved();
    log.add('proofBegun', { phase: 'commission', jobHash: hashOf(job), testsHash: hashOf('x'), anew: true });
    expect(sumOf(log.proving(job).list)).toMatchObject({ passed: 0, proved: false });
    expect(nextTest(log.proving(job).list, null)?.test.id).toBe('battery-resting');
  });

  it('a repair makes due what it can have touched, until that is read again', () => {
    const log = proved();
    log.add('repair', { what: 'New splice', at: ['joint-pump'], testsDue: ['sense-auto', 'amps-manual-down'] });
    expect(outcome(log, 'sense-auto')).toBe('not done');
    expect(outcome(log, 'dead-common')).toBe('stands');
    for (const id of ['sense-auto', 'amps-manual-down']) {
      const test = testIn(log, id);
      if (!('state' in test.expect)) log.read(null, test, { value: test.expect.nominal, unit: test.expect.unit });
    }
    expect(outcome(log, 'sense-auto')).toBe('stands');
  });
});
