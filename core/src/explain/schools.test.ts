import type { Alternative } from '../sizing';
import { schoolsInWords } from './schools';

const row = (size: string, schools: Alternative['schools'], dropPercent: number, pumpV: number): Alternative => ({
  size,
  schools,
  dropPercent,
  pumpV,
  speedRatio: pumpV / 12,
  openFlowLPerH: null,
});

describe('the schools in a line', () => {
  it('says what the strict one costs in copper and gives in volts and speed', () => {
    const line = schoolsInWords([
      row('16 AWG', ['general'], 9.1, 10.6),
      row('14 AWG', [], 5.7, 11),
      row('10 AWG', ['critical'], 2.3, 11.4),
    ]);
    // 5.261 mm² over 1.309 mm² is 4.0; 11.4 over 10.6 is 7.5 % more.
    expect(line).toBe(
      '3\u00a0% takes 10 AWG, 4 times the copper of 16 AWG for 10\u00a0%; the pump gets 11.40\u00a0V instead of 10.60\u00a0V, 7.5\u00a0% more speed.',
    );
  });

  it('sets one that both take beside the next smaller', () => {
    const rows = [row('18 AWG', [], 3.4, 11.2), row('16 AWG', ['critical', 'general'], 2.1, 11.4)];
    expect(schoolsInWords(rows)).toBe(
      'Both schools take 16 AWG; 18 AWG would lose 3.4\u00a0%, and the pump get 11.20\u00a0V instead of 11.40\u00a0V.',
    );
    expect(schoolsInWords(rows.slice(1))).toBe('Both schools take 16 AWG, the least there is.');
  });

  it('says nothing before anything is known', () => {
    expect(schoolsInWords([])).toBeNull();
  });
});
