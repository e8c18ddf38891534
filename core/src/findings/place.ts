import { maxMultipleOfAmpacity, protectionPlace, ruleSets } from '../reference';
import type { RuleFamily } from './finding';
import { moveFuse, withIdeas } from './fixes';

const SLACK = 1 + 1e-9;

/** Where the device sits: the stub before it is protected by nothing. */
export const placeRules: RuleFamily = ({ circuit, choices, protection, conductors }) => {
  const { stubLengthM, stubSheathed, main } = protection;
  const rules = ruleSets[choices.rules ?? 'us'];
  const stub = conductors.find(({ planned }) => planned.leg === 'stub');
  // A fuse on the battery post protects what follows it.
  if (main && stub && main.ratingA <= stub.ampacity.amps * maxMultipleOfAmpacity * SLACK) return [];
  if (stubLengthM <= rules.placeM * SLACK) return [];
  if (stubSheathed && stubLengthM <= protectionPlace.sheathedM * SLACK) return [];
  const fromBattery = (circuit.source?.takenFrom ?? 'battery') === 'battery' && circuit.source?.feed !== 'isolator';
  const allowed = stubSheathed && fromBattery && stubLengthM <= protectionPlace.fromBatteryM * SLACK;
  const length = `${Math.round(stubLengthM / 0.0254)} in (${Math.round(stubLengthM * 1000)} mm)`;
  return [
    {
      code: allowed ? 'fuse-far' : 'fuse-too-far',
      severity: allowed ? 'caution' : 'stop',
      message: allowed
        ? `The sheathed stub is ${length} long: beyond 40 in, and allowed up to 72 in only for the battery’s own output conductor.`
        : `The stub before the fuse is ${length} long and protected by nothing. Move the fuse nearer${stubSheathed ? '' : ', or sheathe the stub'}.`,
      rule: `Within ${Math.round(rules.placeM * 1000)} mm of the source; 40 in (1016 mm) when sheathed; 72 in (1829 mm) from the battery for its own output conductor.`,
      source: rules.placeSource,
      about: 'stub',
      ...withIdeas(...moveFuse(circuit, stubLengthM)),
    },
  ];
};
