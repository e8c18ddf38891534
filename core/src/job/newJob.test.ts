import { carriedOver, freeName, newCircuit, newJob } from './newJob';

const ids = { boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' };

describe('a name that none has yet', () => {
  it.each([
    [[], 'Bilge pump'],
    [['Anchor light'], 'Bilge pump'],
    [['Bilge pump'], 'Bilge pump 2'],
    [['Bilge pump', 'Bilge pump 2', 'Bilge pump 4'], 'Bilge pump 3'],
    [['Bilge pump 2'], 'Bilge pump'],
  ])('beside %j is %s', (taken, name) => expect(freeName('Bilge pump', taken)).toBe(name));
});

describe('a new boat', () => {
  it('has the length that was given, and none where none was', () => {
    expect(newJob(ids, 'Tern', 8).boat).toEqual({ id: ids.boatId, name: 'Tern', hullLengthM: 8 });
    expect(newJob(ids, 'Tern').boat).toEqual({ id: ids.boatId, name: 'Tern' });
  });
});

describe('a circuit beside a sister', () => {
  const sister = {
    ...newCircuit('main', 'Main', 'three-way-float', 'start'),
    source: { stubLengthM: 0.12 },
    legs: { sourceToPanel: { lengthM: 2.2, engineSpace: true }, panelToBilge: { lengthM: 4.5 }, bilgeToNegative: {} },
    pump: { currentA: 4.2 },
    panel: { light: 'led' as const },
    choices: { family: 'metric' as const, conductors: { manual: '2.5 mm²' }, protection: { ratingA: 10 } },
  };
  const backup = carriedOver(
    { ...newCircuit('backup', 'Backup', 'backup-alarm', 'house'), choices: { family: 'awg', dropSchool: 'general' } },
    sister,
  );

  it('takes its battery, feed, cables and what she is judged by', () => {
    expect(backup).toMatchObject({ batteryId: 'start', source: { stubLengthM: 0.12 }, legs: sister.legs });
    expect(backup.choices).toEqual({ family: 'metric', dropSchool: 'general' });
  });

  it('keeps pump, panel, scheme, name and sizes its own', () => {
    expect(backup).toMatchObject({ id: 'backup', name: 'Backup', scheme: 'backup-alarm', pump: {} });
    expect(backup.panel).toBeUndefined();
  });
});
