import { assess } from '@harbor-latch/core/assess/index';
import type { Choices, Circuit, Job } from '@harbor-latch/core/job/index';
import { act } from 'react';
import { boatId, boatWith, Page, storeWith } from '../../testing/page.fixture';
import { SizeStation } from './SizeStation';

let page: Page;
const changed = jest.fn<undefined, [Circuit, string]>();
const surveyed = jest.fn();
afterEach(() => {
  page.close();
  changed.mockClear();
});

/** The page before what is worked out beside it has come. */
function opened(job: Job, selected: string | null = null, units: 'metric' | 'us' = 'metric'): Page {
  page = new Page(storeWith(job));
  const [assessed] = assess(job);
  if (!assessed) throw new Error('no circuit');
  return page.show(
    () => (
      <SizeStation
        job={job}
        assessed={assessed}
        selected={selected}
        onSelect={() => undefined}
        onCircuit={changed}
        onFix={({ circuit, label }) => changed(circuit, `Done: ${label}`)}
        onSurvey={surveyed}
      />
    ),
    { units },
  );
}

const sizing = (...of: Parameters<typeof opened>): Promise<Page> => opened(...of).settle();

describe('the size station', () => {
  it('says what is still needed, and why, instead of an answer', async () => {
    await sizing(boatWith({ pump: {} }));
    expect(page.text).toContain('Still needed: pump amperes (decides conductor, fuse and drop).');
    await page.press('Go to the survey');
    expect(surveyed).toHaveBeenCalled();
  });

  it('answers with size, fuse, volts at the pump and the share of the drop used', async () => {
    await sizing(boatWith());
    for (const words of ['12 AWG', '7.5\u00a0A', 'Conductors lose 0.36\u00a0V, 3.0\u00a0% of 12 V. Within']) {
      expect(page.text).toContain(words);
    }
  });

  it('shows open flow in the yard’s unit only where the label’s is known', async () => {
    await sizing(boatWith());
    expect(page.text).toContain('Enter the open flow in the survey to see what it moves.');
    page.close();
    await sizing(boatWith({ pump: { currentA: 5, openFlowLPerH: 3000 } }), null, 'us');
    expect(page.text).toMatch(/\d{3}\u00a0gal\/h/);
  });

  it('keeps room for what both schools take until it is known', async () => {
    opened(boatWith());
    expect(page.text).toContain('What each school takes, and what the pump gets by it, is being worked out');
    await page.settle();
    expect(page.text).not.toContain('being worked out');
    expect(page.text).not.toContain('Being worked out');
    expect(page.text).toMatch(/3\s% takes 12 AWG, .* times the copper of 16 AWG for 10\s%/);
  });

  it('opens the working of the whole circuit', async () => {
    await sizing(boatWith());
    expect(page.text).not.toContain('Stalled pump');
    await page.press('Show working');
    expect(page.text).toContain('Stalled pump');
    expect(page.text).toContain('12 V ÷ (5 × 5\u00a0A) = 480\u00a0mΩ');
    expect(page.has('Hide working')).toBe(true);
  });

  it('takes a fix as the core tried it', async () => {
    await sizing(boatWith({ choices: { protection: { ratingA: 30 } } }));
    await page.press('Use the 7.5 A blade fuse');
    expect(changed.mock.calls[0]?.[0].choices?.protection).toEqual({});
    expect(changed.mock.calls[0]?.[1]).toBe('Done: Use the 7.5 A blade fuse');
  });

  it('keeps a chosen size, and goes back to the proposed one without a trace', async () => {
    await sizing(boatWith(), 'manual');
    await page.press(page.labels('[role="radio"]').find((one) => one.startsWith('14 AWG')) ?? '');

    expect(changed.mock.calls[0]?.[0].choices?.conductors).toEqual({ manual: '14 AWG' });
    page.close();
    await sizing(boatWith({ choices: { conductors: { manual: '14 AWG', auto: '14 AWG' } } }), 'manual');
    expect(page.text).toContain('chosen by you');
    await page.press('12 AWG, proposed, good');
    expect(changed.mock.calls[1]?.[0].choices?.conductors).toEqual({ auto: '14 AWG' });
  });

  it('shows a size, a rating, a kind and a school chosen where they were touched before what follows from them is known', async () => {
    const job = boatWith({ choices: { conductors: { manual: '14 AWG' } } });
    await sizing(job, 'manual');
    const chosen = () => page.labels('[role="radio"][aria-checked="true"]');
    expect(chosen()).toEqual(
      expect.arrayContaining(['14 AWG, caution', '7.5\u00a0A, proposed, good', 'blade fuse', '3\u00a0% drop']),
    );
    const [circuit] = job.circuits;
    const choosing = async (choices: Choices) => {
      const circuits = circuit ? [{ ...circuit, choices }] : [];
      act(() => page.store.change(boatId, { ...job, circuits }));
      return page.settle();
    };
    // What is shown stays as it was worked out: the station is given no other answer here.
    await choosing({
      conductors: { manual: '10 AWG' },
      protection: { ratingA: 20, kind: 'blade' },
      dropSchool: 'general',
    });
    expect(chosen()).toEqual(expect.arrayContaining(['10 AWG, good', '10\u00a0% drop', 'blade fuse']));
    expect(chosen().filter((label) => label.startsWith('20\u00a0A'))).toHaveLength(1);
    expect(page.labels('[aria-expanded="true"]')).toEqual([expect.stringMatching(/, 14 AWG: close$/)]);
    // Without a choice it is the proposed one that will stand.
    await choosing({});
    expect(chosen()).toEqual(
      expect.arrayContaining(['12 AWG, proposed, good', '7.5\u00a0A, proposed, good', 'blade fuse']),
    );
    // Of another kind no rating is known yet.
    await choosing({ conductors: { manual: '14 AWG' }, protection: { kind: 'thermalBreaker' } });
    expect(chosen()).toEqual(expect.arrayContaining(['14 AWG, caution', 'thermal breaker']));
    expect(chosen().filter((label) => label.includes('\u00a0A'))).toEqual([]);
  });

  it('offers no other size for the stub, which takes that of the feed, nor for the pump’s leads', async () => {
    await sizing(boatWith(), 'stub');
    expect(page.text).toContain('Takes the size of the feed.');
    page.close();
    await sizing(boatWith({ pump: { currentA: 5, leads: { lengthM: 0.15, size: '16 AWG' } } }), 'pump-lead-plus');
    expect(page.text).toContain('Comes with the pump; enter it in the survey.');
  });

  it('tells of every size and rating what it would bring, and why, before it is taken', async () => {
    await sizing(boatWith(), 'manual');
    const radios = page.labels('[role="radio"]');
    const of = (start: string) => radios.filter((label) => label.startsWith(start));
    expect(of('12 AWG, proposed')).toEqual(['12 AWG, proposed, good']);
    expect(of('3\u00a0A')).toEqual(['3\u00a0A, refused']);
    expect(of('7.5\u00a0A')).toEqual(['7.5\u00a0A, proposed, good']);
    expect(of('18 AWG')[0]).toMatch(/, (caution|refused)$/);
    expect(page.text).toMatch(/Refused: [\d ,to]+.A\. /);
  });

  it('changes school, family, kind of protection and rating, each as a choice of its own', async () => {
    await sizing(boatWith());
    await page.press('10\u00a0% drop');
    await page.press('mm²');
    await page.press('thermal breaker');
    await page.pressIn(
      page.labelled('Rating'),
      page.labels('[role="radio"]').find((one) => one.startsWith('20\u00a0A')) ?? '',
    );
    expect(changed.mock.calls.map(([circuit]) => circuit.choices)).toEqual([
      { dropSchool: 'general' },
      { family: 'metric' },
      { protection: { kind: 'thermalBreaker' } },
      { protection: { kind: 'blade', ratingA: 20 } },
    ]);
  });

  it('always shows the cautions of the work', async () => {
    await sizing(boatWith());
    expect(page.text).toContain('On auto a pump can start at any moment');
    expect(page.text).toContain('do not replace the boat’s rules');
  });
});
