import { freeName, newJob } from './newJob';

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
