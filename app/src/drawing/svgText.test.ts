import { assess, batteryOf } from '@harbor-latch/core/assess/index';
import { act } from 'react';
import { boatWith } from '../testing/page.fixture';
import { circuitDiagram } from './circuitDiagram';
import { svgText } from './svgText';

describe('a drawing as a file', () => {
  it('stands on its own: light, with nothing to press, and with every name in it', () => {
    const job = boatWith();
    const [assessed] = assess(job);
    const [circuit] = job.circuits;
    if (assessed?.status !== 'sized' || !circuit) throw new Error('not sized');
    let text = '';
    act(() => {
      text = svgText(circuitDiagram(assessed, batteryOf(job, circuit), 'metric'), 'Tern, Main');
    });
    const drawn = new DOMParser().parseFromString(text, 'image/svg+xml');
    expect(drawn.querySelector('parsererror')).toBeNull();
    expect(drawn.documentElement.getAttribute('role')).toBe('img');
    expect(drawn.querySelectorAll('[tabindex], [role="button"]')).toHaveLength(0);
    expect(drawn.querySelector('rect')?.getAttribute('width')).toBe('100%');
    for (const words of ['House battery', 'blade fuse', 'manual', 'auto'])
      expect(drawn.documentElement.textContent).toContain(words);
    expect(text).not.toMatch(/<script|javascript:|http:\/\/(?!www\.w3\.org)/);
  });
});
