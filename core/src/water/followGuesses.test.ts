import { newCircuit, newJob, type Job } from '../job';
import { followGuesses } from './followGuesses';
import { typicalHose, typicalIngress, typicalLegs, typicalPoses, typicalWell } from './typical';

const ids = { boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' };

function boat(hullLengthM: number): Job {
  const circuit = newCircuit('main', 'Main', 'three-way-float', 'house');
  return {
    ...newJob(ids, 'Tern', hullLengthM),
    wells: [typicalWell('sump', hullLengthM)],
    poses: typicalPoses(hullLengthM),
    ingress: typicalIngress(hullLengthM),
    circuits: [
      {
        ...circuit,
        legs: typicalLegs(hullLengthM),
        water: { wellId: 'sump', hose: typicalHose(circuit.pump, hullLengthM) },
      },
    ],
  };
}

const withLength = (job: Job, hullLengthM: number): Job => ({ ...job, boat: { ...job.boat, hullLengthM } });

describe('guesses', () => {
  it('follow the hull’s length: well, poses, water to reckon with, and hose', () => {
    const short = boat(6);
    const long = followGuesses(short, withLength(short, 11));
    expect(long).toEqual(boat(11));
  });

  it('are none any more where somebody typed another length, and the others go on following', () => {
    const before = boat(8);
    const [circuit] = before.circuits;
    if (!circuit) throw new Error('no circuit');
    const legs = { ...circuit.legs, sourceToPanel: { lengthM: 2.2, guessed: true } };
    const typed = followGuesses(before, { ...before, circuits: [{ ...circuit, legs }] });
    expect(typed.circuits[0]?.legs.sourceToPanel).toEqual({ lengthM: 2.2 });
    expect(typed.circuits[0]?.legs.panelToBilge).toEqual({ lengthM: 4, guessed: true });
    const longer = followGuesses(typed, withLength(typed, 10));
    expect(longer.circuits[0]?.legs.sourceToPanel).toEqual({ lengthM: 2.2 });
    expect(longer.circuits[0]?.legs.panelToBilge).toEqual({ lengthM: 5, guessed: true });
  });

  it('follow the pump’s flow in the bore of the hose', () => {
    const before = boat(8);
    const after = {
      ...before,
      circuits: before.circuits.map((one) => ({ ...one, pump: { openFlowLPerH: 7500 } })),
    };
    expect(before.circuits[0]?.water?.hose?.boreM).toBe(0.025);
    expect(followGuesses(before, after).circuits[0]?.water?.hose?.boreM).toBe(0.038);
  });

  it('stay where somebody measured or altered them, while the others follow', () => {
    const before = boat(6);
    const [well] = before.wells ?? [];
    if (!well) throw new Error('no well');
    const measured = { ...before, wells: [{ ...well, aftM: -0.4 }] };
    const after = followGuesses(measured, withLength(measured, 11));
    expect(after.wells).toEqual(measured.wells);
    expect(after.poses).toEqual(typicalPoses(11));
    const known = { ...before, wells: [{ ...well, guessed: false }] };
    expect(followGuesses(known, withLength(known, 11)).wells).toEqual(known.wells);
  });

  it('keep the name that a well was given', () => {
    const before = boat(6);
    const named = { ...before, wells: (before.wells ?? []).map((well) => ({ ...well, name: 'Shaft well' })) };
    const [well] = followGuesses(named, withLength(named, 11)).wells ?? [];
    expect(well).toEqual({ ...typicalWell('sump', 11), name: 'Shaft well' });
  });

  it('are left as they are, and the boat with them, where their ground is the same', () => {
    const before = boat(6);
    const after = { ...before, boat: { ...before.boat, berth: 'East pontoon' } };
    expect(followGuesses(before, after)).toBe(after);
    const bare = newJob(ids, 'Tern', 6);
    const longer = withLength(bare, 9);
    expect(followGuesses(bare, longer)).toBe(longer);
  });
});
