import { built, jobWith } from './build.fixture';
import { serviceBySchool } from './service';

const circuitOf = (build = {}) => {
  const [circuit] = jobWith('three-way-float', { build }).circuits;
  if (!circuit) throw new Error('no circuit');
  return circuit;
};
const minutes = (build = {}) =>
  Object.fromEntries(
    serviceBySchool(built('three-way-float', build).joints, circuitOf(build)).map(
      ({ school, pumpMinutes, floatMinutes }) => [school, [pumpMinutes, floatMinutes]],
    ),
  );

describe('what a way of joining costs later', () => {
  it('is the minutes at the joints of pump and of float: two each on the base circuit', () => {
    // Pump: positive joint and negative joint. Float: the auto joint and the positive joint.
    expect(minutes()).toEqual({
      crimp: [24, 24],
      'crimp-solder': [30, 30],
      solder: [30, 30],
      block: [10, 10],
    });
  });

  it('is a minute at a disconnect, whatever the joints', () => {
    expect(minutes({ disconnects: { pump: true } })).toMatchObject({ crimp: [1, 24], block: [1, 10] });
    expect(minutes({ disconnects: { float: true } })).toMatchObject({ crimp: [24, 1] });
  });

  it('is the same whichever way the circuit is joined now', () => {
    expect(minutes({ school: 'block' })).toEqual(minutes());
  });

  it('is none of a part that the circuit has not', () => {
    const { joints } = built('plain-switch');
    expect(serviceBySchool(joints, circuitOf())[0]).toMatchObject({ floatMinutes: null });
  });
});
