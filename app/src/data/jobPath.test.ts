import { boatWith } from '../testing/page.fixture';
import { setAt, valueAt } from './jobPath';

const job = boatWith();

describe('a value at a path', () => {
  it('is set where nothing was, with what lies on the way', () => {
    const result = setAt(job, ['circuits', 0, 'source', 'stubLengthM'], 0.3);
    expect(result.ok && result.job.circuits[0]?.source).toEqual({ stubLengthM: 0.3 });
    expect(job.circuits[0]?.source).toBeUndefined();
  });

  it('is removed by undefined, and the rest stays', () => {
    const result = setAt(job, ['circuits', 0, 'legs', 'panelToBilge', 'lengthM'], undefined);
    expect(result.ok && result.job.circuits[0]?.legs).toEqual({
      sourceToPanel: { lengthM: 3 },
      panelToBilge: {},
      bilgeToNegative: { lengthM: 5 },
    });
  });

  it('that does not fit is refused with the message of its own field', () => {
    expect(setAt(job, ['circuits', 0, 'pump', 'currentA'], 500)).toEqual({
      ok: false,
      message: expect.stringContaining('Pump current above 100 A is not a bilge-pump circuit.'),
    });
  });

  it('that spoils another field is refused too, with the words of that field', () => {
    const wound = boatWith({ pump: { currentA: 5, windingOhm: 0.5 } });
    const result = setAt(wound, ['circuits', 0, 'pump', 'currentA'], 50);
    expect(result).toMatchObject({ ok: false, message: expect.stringContaining('winding') });
  });

  it('is undefined where the path leads nowhere', () => {
    expect(valueAt(job, ['circuits', 7, 'pump', 'currentA'])).toBeUndefined();
    expect(valueAt(job, ['boat', 'name'])).toBe('Tern');
  });
});
