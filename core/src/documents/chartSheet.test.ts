import { assessedOf } from '../trace/hunts.fixture';
import { symptomsOf } from '../trace/huntModel';
import { chartSheet } from './chartSheet';
import { textsOf } from './texts.fixture';

describe('the fault-finding chart', () => {
  const assessed = assessedOf('three-way-float');
  const sheet = chartSheet({ title: 'Tern: Main bilge pump', assessed, paper: 'a4', day: '1 May 2026' });
  const texts = textsOf(sheet.content);

  it('has every symptom of the circuit, every step that an answer leads to, and repairs at its ends', () => {
    for (const { text } of symptomsOf(assessed))
      expect(texts.some((one) => one.startsWith(`${text}: about`))).toBe(true);
    const steps = new Set(texts.filter((one) => /^\d+$/.test(one)));
    for (const to of texts.flatMap((one) => /go to (\d+)$/.exec(one)?.[1] ?? [])) expect(steps.has(to)).toBe(true);
    expect(texts.some((one) => one.endsWith(': Remake J1'))).toBe(true);
    expect(texts.some((one) => one.endsWith(': Clean the strainer and what lies before it'))).toBe(true);
  });

  it('is plain data, with the cautions before the first step', () => {
    expect(JSON.parse(JSON.stringify(sheet))).toEqual(sheet);
    expect(texts.findIndex((one) => one.includes('prove'))).toBeLessThan(texts.findIndex((one) => one === '1'));
  });
});
