import { assess, batteryOf } from '@harbor-latch/core/assess/index';
import { act } from 'react';
import { boatWith } from '../testing/page.fixture';
import { circuitDiagram } from './circuitDiagram';
import { svgText } from './svgText';
import { titleBlock } from './titleBlock';

describe('a drawing as a file', () => {
  it('stands on its own: light, with nothing to press, and with every name in it', () => {
    const job = boatWith();
    const [assessed] = assess(job);
    const [circuit] = job.circuits;
    if (assessed?.status !== 'sized' || !circuit) throw new Error('not sized');
    let text = '';
    act(() => {
      text = svgText(
        circuitDiagram(assessed, batteryOf(job, circuit), 'metric'),
        'Tern, Main',
        titleBlock(job, circuit, new Date('2026-05-04T08:30:00Z')),
      );
    });
    const drawn = new DOMParser().parseFromString(text, 'image/svg+xml');
    expect(drawn.querySelector('parsererror')).toBeNull();
    expect(drawn.documentElement.getAttribute('role')).toBe('img');
    expect(drawn.querySelectorAll('[tabindex], [role="button"]')).toHaveLength(0);
    expect(drawn.querySelector('rect')?.getAttribute('width')).toBe('100%');
    for (const words of ['House battery', 'blade fuse', 'manual', 'auto'])
      expect(drawn.documentElement.textContent).toContain(words);
    // Under the drawing stands whose it is, within the sheet.
    const lines = [...drawn.querySelectorAll('text')].filter((one) => one.textContent?.startsWith('Tern: Main'));
    expect(lines).toHaveLength(1);
    const sheet = Number(drawn.documentElement.getAttribute('viewBox')?.split(' ')[3]);
    const feet = [...drawn.querySelectorAll('text[y]')].map((one) => Number(one.getAttribute('y')));
    expect(Math.max(...feet)).toBeLessThan(sheet);
    expect(drawn.documentElement.textContent).toContain('2026-05-04');
    // A reader without our face takes its own, in the same weight.
    for (const one of drawn.querySelectorAll('[font-family]'))
      expect(one.getAttribute('font-family')).toMatch(/, sans-serif$/);
    expect(new Set([...drawn.querySelectorAll('[font-weight]')].map((one) => one.getAttribute('font-weight')))).toEqual(
      new Set(['400', '700']),
    );
    expect(text).not.toMatch(/<script|javascript:|http:\/\/(?!www\.w3\.org)/);
  });
});
