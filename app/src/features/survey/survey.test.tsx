import { assess } from '@harbor-latch/core/assess/index';
import { newCircuit, type Circuit, type Job } from '@harbor-latch/core/job/index';
import { schemeKeys, schemeOf } from '@harbor-latch/core/schemes/index';
import { boatWith, Page, storeWith } from '../../testing/page.fixture';
import { SurveyStation } from './SurveyStation';

let page: Page;
afterEach(() => page.close());

async function survey(job: Job, units: 'metric' | 'us' = 'metric'): Promise<Page> {
  page = new Page(storeWith(job));
  page.show(
    (draft) => {
      const [assessed] = assess(draft.job);
      if (!assessed) throw new Error('The boat has no circuit.');
      return (
        <SurveyStation draft={draft} index={0} assessed={assessed} onSize={() => undefined} onBoat={() => undefined} />
      );
    },
    { units },
  );
  await page.settle();
  const heads = [...page.labels('[aria-expanded="false"]')].filter((label) => STAGES.test(label));
  for (const head of heads) await page.unfold(head);
  return page;
}

const STAGES = /^(Source|Panel|Pump|In the well|Judged by|Source to panel|Panel to bilge|Bilge to negative bus): /;

const circuit = (): Circuit => {
  const [first] = page.job.circuits;
  if (!first) throw new Error('The circuit is gone.');
  return first;
};

describe('the survey', () => {
  it('counts down the figures that are needed, and needs no other', async () => {
    const job = boatWith();
    await survey({ ...job, circuits: [newCircuit('main', 'Main', 'three-way-float', 'house')] });
    expect(page.text).toContain('4 needed');
    await page.fill('Source to panel, one way, in m', '3');
    await page.fill('Panel to bilge, one way, in m', '5');
    await page.fill('Bilge to negative bus, one way, in m', '5');
    expect(page.text).toContain('1 needed');
    await page.fill('Pump amperes, in A', '4.6');
    expect(page.text).toContain('Enough for sizes');
    expect(assess(page.job)[0]?.status).toBe('sized');
  });

  it('offers the way back as long as the ways out, and again when they change', async () => {
    await survey(boatWith({ legs: { sourceToPanel: { lengthM: 2.2 }, panelToBilge: {}, bilgeToNegative: {} } }));
    expect(page.text).not.toContain('As far as the ways out');
    await page.fill('Panel to bilge, one way, in m', '4.5');
    await page.pressText('As far as the ways out: 6.7\u00a0m');
    expect(circuit().legs.bilgeToNegative.lengthM).toBeCloseTo(6.7, 9);
    expect(page.text).not.toContain('As far as the ways out');
    // 1.1 and 2.2 make 3.3000000000000003.
    await page.fill('Source to panel, one way, in m', '1.1');
    await page.fill('Panel to bilge, one way, in m', '2.2');
    await page.pressText('As far as the ways out: 3.3\u00a0m');
    expect(page.text).not.toContain('As far as the ways out');
    await page.fill('Panel to bilge, one way, in m', '5');
    expect(page.text).toContain('As far as the ways out: 6.1\u00a0m');
  });

  it('leads to what is needed at a touch', async () => {
    const job = boatWith();
    await survey({ ...job, circuits: [newCircuit('main', 'Main', 'three-way-float', 'house')] });
    Element.prototype.scrollIntoView = () => undefined;
    await page.press('Go to Pump amperes');
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Pump amperes, in A');
  });

  it('keeps what has a default folded, and opens what has something to say', async () => {
    page = new Page(storeWith(boatWith({ pump: { currentA: 2, openFlowLPerH: 500 } })));
    page.show((draft) => {
      const [assessed] = assess(draft.job);
      if (!assessed) throw new Error('The boat has no circuit.');
      return (
        <SurveyStation draft={draft} index={0} assessed={assessed} onSize={() => undefined} onBoat={() => undefined} />
      );
    });
    await page.settle();
    expect(page.has('Battery to fuse, in mm')).toBe(false);
    expect(page.text).toContain('Does the label say gallons?');
  });

  it('begins with a class of pump, says that its figures are typical, and keeps them as the label’s own', async () => {
    await survey(boatWith({ pump: {} }));
    await page.pressIn(page.labelled('Class of pump'), 'Medium, 3000\u00a0L/h');
    expect(circuit().pump.currentA).toBeGreaterThan(0);
    expect(page.text).toContain('Estimate: figures typical of the class');
    const { catalogue, ...figures } = circuit().pump;
    expect(catalogue).toBeDefined();
    await page.pressText('These are the label’s figures now');
    expect(circuit().pump).toEqual(figures);
  });

  it('asks of each scheme what it has, and keeps what was measured when the scheme changes', async () => {
    await survey(boatWith({ floatA: 12, panel: { switchA: 15 } }));
    const legs = circuit().legs;
    for (const scheme of schemeKeys) {
      await page.unfold('Wired as');
      const radios = page.texts('[role="radiogroup"][aria-label="Wired as"] [role="radio"]');
      expect(radios).toHaveLength(schemeKeys.length);
      await page.pressIn(page.labelled('Wired as'), nameOf(scheme));
      expect(circuit().scheme).toBe(scheme);
      expect(circuit()).toMatchObject({ legs, floatA: 12, panel: { switchA: 15 } });
      expect(page.text.includes('Across the coil')).toBe(scheme === 'relay');
      expect(page.text.includes('Fuses of the two legs')).toBe(schemeOf({ scheme }).options.includes('leg-fuses'));
      expect(page.text.includes('Its own battery')).toBe(scheme === 'standalone-alarm');
    }
  });

  it('wires lights only where there are any', async () => {
    await survey(boatWith());
    expect(page.text).not.toContain('Light tap’s fuse');
    await page.choose('Running light', 'LED');
    expect(page.text).toContain('The running light is wired');
    await page.choose('The running light is wired', 'Auto post to manual post');
    await page.choose('Armed light', 'Filament');
    await page.press('Light tap’s fuse: 2 A');
    expect(circuit().panel).toEqual({
      light: 'led',
      lightWired: 'auto-to-manual',
      armedLight: 'filament',
      tapFuseA: 2,
    });
    await page.choose('Running light', 'None');
    expect(page.text).not.toContain('The running light is wired');
  });

  it('takes a fuse of the panel and one on the battery post, by kind and by rating', async () => {
    await survey(boatWith());
    await page.unfold('More of the panel');
    await page.choose('Fuse in the panel', 'blade fuse');
    expect(circuit().panel?.fuse).toEqual({ kind: 'blade', ratingA: 10 });
    await page.choose('Fuse in the panel, rating', '7.5\u00a0A');
    expect(circuit().panel?.fuse?.ratingA).toBe(7.5);
    await page.choose('Fuse in the panel', 'None');
    expect(circuit().panel?.fuse).toBeUndefined();
    await page.unfold('More of the source');
    await page.choose('Fuse on the battery post', 'class T fuse');
    expect(circuit().source?.mainFuse?.kind).toBe('classT');
  });

  it('takes a cable in pieces, each in its own surroundings, and forgets one that is removed', async () => {
    await survey(boatWith());
    await page.pressText('Add a piece in other surroundings');
    expect(circuit().legs.sourceToPanel.further).toEqual([{ lengthM: 1, engineSpace: true }]);
    await page.fill('Source to panel, piece 2, in m', '2.4');
    await page.choose('Source to panel, piece 2, tight bundle', '4 to 6');
    expect(circuit().legs.sourceToPanel.further).toEqual([{ lengthM: 2.4, engineSpace: true, bundled: 6 }]);
    await page.pressText('Remove piece 2');
    expect(circuit().legs.sourceToPanel.further).toBeUndefined();
  });

  it('takes points of a maker’s curve and the pump’s own leads', async () => {
    await survey(boatWith());
    await page.unfold('More of the pump');
    await page.pressText('Add a point');
    await page.pressText('Add a point');
    await page.fill('Point 2, head, in m', '2.5');
    await page.fill('Point 2, flow, in L/h', '1400');
    expect(circuit().pump.curve).toEqual([
      { headM: 0, flowLPerH: 1000 },
      { headM: 2.5, flowLPerH: 1400 },
    ]);
    await page.pressText('Remove point 1');
    expect(circuit().pump.curve).toHaveLength(1);
    await page.choose('Pump’s own leads', '16 AWG');
    await page.press('Length of each lead: 300 mm');
    expect(circuit().pump.leads).toEqual({ size: '16 AWG', lengthM: 0.3 });
    await page.choose('Pump’s own leads', 'Not counted');
    expect(circuit().pump.leads).toBeUndefined();
  });

  it('calls the posts what is printed at them', async () => {
    await survey(boatWith());
    expect(page.text).toContain('Named by what they do');
    await page.unfold('Posts as printed');
    const posts = page.labels('input').filter((label) => label.includes('(auto)') || label.includes('auto'));
    expect(posts.length).toBeGreaterThan(0);
    await page.fill(posts[0] ?? '', '3');
    expect(Object.values(circuit().panel?.posts ?? {})).toEqual(['3']);
    expect(page.text).toContain('1 named as on the panel');
  });

  it('lists what is still assumed and what measuring it would change, and less of it once something is measured', async () => {
    await survey(boatWith());
    const count = () => Number(/(\d+) defaults stand in/.exec(page.text)?.[1]);
    const before = count();
    expect(before).toBeGreaterThan(3);
    await page.unfold('House');
    await page.fill('Internal resistance, in Ω', '6 mΩ');
    expect(page.job.batteries[0]?.internalOhm).toBeCloseTo(0.006, 9);
    expect(count()).toBe(before - 1);
    await page.unfold('Still assumed');
    expect(page.text).toContain('Measured: ');
  });

  it('doubts a figure that looks like gallons, beside its field', async () => {
    await survey(boatWith({ pump: { currentA: 2, openFlowLPerH: 500 } }));
    expect(page.text).toContain('Does the label say gallons? Then it is 1893\u00a0L/h.');
  });

  it('puts a circuit into a well, with a typical hose marked as a guess', async () => {
    const job = boatWith();
    const well = { id: 'bilge', name: 'Sump', aftM: -0.5, foreM: 0.5, section: { kind: 'box' as const, widthM: 0.4 } };
    await survey({ ...job, wells: [well] });
    await page.pressText('Sump');
    expect(circuit().water?.wellId).toBe('bilge');
    expect(circuit().water?.hose?.guessed).toBe(true);
    expect(page.text).toContain('Stands in Sump.');
  });

  it('speaks feet, inches and gallons where the yard does', async () => {
    await survey(boatWith({ pump: { currentA: 5, openFlowLPerH: 800 * 3.785411784 } }), 'us');
    expect(page.labels('input')).toEqual(
      expect.arrayContaining(['Source to panel, one way, in ft', 'Battery to fuse, in in', 'Open flow, in gal/h']),
    );
    expect((page.labelled('Open flow, in gal/h') as HTMLInputElement).value).toBe('800');
  });
});

describe('a circuit beside others', () => {
  const two = (change: Partial<Circuit> = {}): Job => {
    const job = boatWith();
    const other: Circuit = {
      ...newCircuit('second', 'Second', 'plain-switch', 'house'),
      pump: { currentA: 3 },
      ...change,
    };
    return { ...job, circuits: [...job.circuits, other] };
  };

  it('may hang on another’s feed, and then leaves battery and fuse to it', async () => {
    await survey(two());
    expect(page.has('Battery to fuse, in mm')).toBe(true);
    await page.choose('Feed and fuse', 'With Second');
    expect(circuit().sharesFeedWith).toBe('second');
    expect(page.text).toContain('Battery, fuse and feed are those of Second.');
    expect(page.has('Battery to fuse, in mm')).toBe(false);
    await page.choose('Feed and fuse', 'Its own');
    expect(circuit().sharesFeedWith).toBeUndefined();
  });

  it('that leads a feed says so, and cannot hang on another’s', async () => {
    await survey(two({ sharesFeedWith: 'main' }));
    expect(page.text).toContain('Other circuits hang on this feed');
    expect(page.has('Feed and fuse')).toBe(false);
  });
});

function nameOf(scheme: string): string {
  return schemeOf({ scheme }).name;
}
