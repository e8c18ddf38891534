import type { Choices } from '../job';
import { surveyedCircuit } from '../schemes/schemes.fixture';
import { conductorFacts } from './conductors';
import { sizingQuestion } from './question.fixture';
import { dropThroughout, sizeNamed } from './sizing';

/** A circuit’s conductors at a size, 5 A at design and 6 A running. */
function factsOf(id: string, size: string, choices: Choices = {}) {
  const circuit = surveyedCircuit('three-way-float', {
    panel: { light: 'filament' },
    pump: { leads: { lengthM: 0.3, size: '18 AWG' } },
    legs: {
      sourceToPanel: { lengthM: 3, further: [{ lengthM: 1, engineSpace: true, insulationC: 60 }] },
      panelToBilge: { lengthM: 5 },
      bilgeToNegative: { lengthM: 5 },
    },
  });
  const question = sizingQuestion(circuit);
  const planned = question.plan.conductors.find((one) => one.id === id);
  if (!planned) throw new RangeError(`No ${id}.`);
  return conductorFacts({
    planned,
    choices,
    proposed: sizeNamed('12 AWG'),
    size: sizeNamed(size),
    drop: dropThroughout(question, sizeNamed('12 AWG')).solved,
    running: dropThroughout({ ...question, designCurrentA: 6 }, sizeNamed('12 AWG')).solved.map((row) => ({
      ...row,
      point: { ...row.point, conductorA: (one: string) => (one.startsWith('light') ? 0.085 : -6) },
    })),
  });
}

describe('a conductor', () => {
  it('has the sum of its pieces, the ampacity of the weakest, and what it loses at design current', () => {
    const feed = factsOf('feed', '12 AWG');
    // 3 m at 30 °C and 1 m at 60 °C; 25 A × 0.58 in the engine space.
    const ohm = 5.21034e-3 * (3 * 1.0393 + 1.1572);
    expect(feed.resistanceOhm).toBeCloseTo(ohm, 7);
    expect(feed.pieces).toHaveLength(2);
    expect(feed.ampacity.amps).toBeCloseTo(14.5, 9);
    expect(feed.designA).toBeCloseTo(5, 6);
    expect(feed.dropV).toBeCloseTo(5 * ohm, 6);
    expect(feed.runningA).toBe(6);
    expect(feed).toMatchObject({ size: '12 AWG', family: 'awg', areaMm2: 3.309, proposedSize: '12 AWG' });
  });

  it('of a light carries at design what it carries running: the pump’s current says nothing of it', () => {
    expect(factsOf('light-tap', '16 AWG')).toMatchObject({ designA: 0.085, runningA: 0.085 });
    expect(factsOf('pump-lead-plus', '18 AWG').designA).toBeCloseTo(5, 6);
  });

  it('of a coil too', () => {
    const question = sizingQuestion(surveyedCircuit('relay'));
    const planned = question.plan.conductors.find((one) => one.duty === 'control');
    if (!planned) throw new RangeError('A relay has a coil.');
    const rows = dropThroughout(question, sizeNamed('12 AWG')).solved;
    const running = rows.map((row) => ({ ...row, point: { ...row.point, conductorA: () => 0.13 } }));
    const size = sizeNamed('16 AWG');
    expect(conductorFacts({ planned, choices: {}, proposed: size, size, drop: rows, running }).designA).toBe(0.13);
  });

  it('is under the least size below 16 AWG, and below 1 mm²', () => {
    expect([factsOf('feed', '18 AWG').underLeast, factsOf('feed', '16 AWG').underLeast]).toEqual([true, false]);
    expect([factsOf('feed', '0.75 mm²').underLeast, factsOf('feed', '1 mm²').underLeast]).toEqual([true, false]);
    expect([factsOf('feed', '1 mm²').leastSize, factsOf('feed', '8 AWG').leastSize]).toEqual(['1 mm²', '16 AWG']);
  });

  it('is chosen where the job names it, and a lead never is', () => {
    const choices = { conductors: { feed: '12 AWG', 'pump-lead-plus': '18 AWG' } };
    expect(factsOf('feed', '12 AWG', choices).overridden).toBe(true);
    expect(factsOf('manual', '12 AWG', choices).overridden).toBe(false);
    expect(factsOf('feed', '12 AWG').overridden).toBe(false);
    expect(factsOf('pump-lead-plus', '18 AWG', choices).overridden).toBe(false);
  });
});
