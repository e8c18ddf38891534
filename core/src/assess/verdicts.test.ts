import type { Judgement } from '../findings';
import { JOB_VERSION, newCircuit, type Circuit, type Job } from '../job';
import { Assessor } from './Assessor';
import { verdictsOf, type Verdicts } from './verdicts';

const NONE: Verdicts = { of: {}, always: [] };

const found = (code: string, severity: Judgement['severity'], at: string[] = ['fuse']): Judgement => ({
  code,
  severity,
  message: `${code} said`,
  rule: '',
  source: '',
  at,
});

describe('the verdict of a choice', () => {
  it('is the worst that is found with it and not with all others', () => {
    const { of, always } = verdictsOf(
      {
        small: [found('blows', 'stop'), found('warm', 'caution'), found('far', 'stop')],
        middle: [found('far', 'stop'), found('hint', 'note')],
        large: [found('warm', 'caution'), found('far', 'stop')],
        odd: null,
      },
      'fuse',
    );
    expect(of).toEqual({
      small: { standing: 'stop', reason: 'blows said', code: 'blows' },
      middle: { standing: 'good', reason: null, code: null },
      large: { standing: 'caution', reason: 'warm said', code: 'warm' },
    });
    expect(always).toEqual([{ severity: 'stop', message: 'far said' }]);
  });

  it('counts what is found of the thing itself with one choice, and elsewhere with all', () => {
    const { of } = verdictsOf(
      {
        thin: [found('least', 'stop', ['manual', 'auto'])],
        thick: [found('least', 'stop', ['auto'])],
      },
      'manual',
    );
    expect(of['thin']?.standing).toBe('stop');
    expect(of['thick']?.standing).toBe('good');
  });

  it('says nothing of what is always found elsewhere', () => {
    expect(verdictsOf({ a: [found('leak', 'stop', ['hose'])], b: [found('leak', 'stop', ['hose'])] }, 'fuse')).toEqual({
      of: { a: expect.objectContaining({ standing: 'good' }), b: expect.objectContaining({ standing: 'good' }) },
      always: [],
    });
  });
});

describe('of a day boat’s circuit', () => {
  const circuit: Circuit = {
    ...newCircuit('main', 'Main', 'three-way-float', 'house'),
    legs: { sourceToPanel: { lengthM: 2.2 }, panelToBilge: { lengthM: 4.5 }, bilgeToNegative: { lengthM: 6.7 } },
    pump: { currentA: 4.2 },
  };
  const job: Job = {
    format: 'harbor-latch/job',
    version: JOB_VERSION,
    boat: { id: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', name: 'Tern' },
    batteries: [{ id: 'house', name: 'House' }],
    circuits: [circuit],
  };
  const assessor = new Assessor();
  const [sized] = assessor.assess(job).circuits;
  if (sized?.status !== 'sized') throw new Error('not sized');
  const { protection, conductors } = sized.facts;

  it('fuses: what is proposed is good, what the pump blows and what no longer protects are refused', () => {
    const { of } = assessor.verdictsOf(job, 'main', null) ?? NONE;
    expect(of[String(protection.ratingA)]?.standing).toBe('good');
    // 4.2 A run through it; and the largest blade fuse is beyond what the smallest conductor may carry.
    expect(of['3']?.standing).toBe('stop');
    expect(of['40']?.standing).toBe('stop');
    expect(of['3']?.reason).not.toBe(of['40']?.reason);
  });

  it('sizes: what is proposed is good, and thinner than that is not', () => {
    const feed = conductors.find(({ planned }) => planned.id === 'feed') ?? conductors[0];
    if (!feed) throw new Error('no conductor');
    const { of } = assessor.verdictsOf(job, 'main', feed.planned.id) ?? NONE;
    expect(of[feed.proposedSize]?.standing).toBe('good');
    expect(of['18 AWG']?.standing).not.toBe('good');
    expect(Object.keys(of)).toContain('2 AWG');
  });

  it('agrees with what is found once the choice is made', () => {
    const { of } = assessor.verdictsOf(job, 'main', null) ?? NONE;
    for (const [rating, { standing, reason }] of Object.entries(of)) {
      const choices = { protection: { kind: protection.kind, ratingA: Number(rating) } };
      const [taken] = assessor.assess({ ...job, circuits: [{ ...circuit, choices }] }).circuits;
      if (taken?.status !== 'sized') throw new Error('not sized');
      if (reason !== null)
        expect(taken.findings).toContainEqual(expect.objectContaining({ severity: standing, message: reason }));
    }
  });

  it('knows none of a circuit that is not sized, and of a conductor that is not there', () => {
    const open = { ...job, circuits: [{ ...circuit, pump: {} }] };
    expect(assessor.verdictsOf(open, 'main', null)).toBeNull();
    expect(assessor.verdictsOf(job, 'main', 'nowhere')).toBeNull();
  });
});
