import { waterFaultKeys, waterFaultOf, type WaterFaultKey } from '../water';
import type { Repair } from './hypothesis';
import { pumpsOf, repairOf, type Candidate, type FaultGround } from './making';
import type { ShareGroup } from '../reference';

const waterGroups: Readonly<Record<WaterFaultKey, ShareGroup>> = {
  blocked: 'blocked',
  'impeller-broken': 'impeller',
  'air-lock': 'hose',
  'hose-kinked': 'hose',
  'hose-off': 'hose',
  'valve-jammed': 'valve',
  'float-fouled': 'float-stuck-up',
  'float-too-low': 'float-place',
  'float-upright': 'float-place',
};

const waterRepairs: Readonly<Record<WaterFaultKey, Repair>> = {
  blocked: repairOf('strainer:clean', 'Clean the strainer and what lies before it'),
  'impeller-broken': repairOf('impeller:replace', 'Replace the impeller, or the pump', true),
  'air-lock': repairOf('hose:bleed', 'Let the air out, and lead the hose so that it rises all the way'),
  'hose-kinked': repairOf('hose:lay', 'Lay the hose without a kink'),
  'hose-off': repairOf('hose:fit', 'Put the hose back on, with two clips'),
  'valve-jammed': repairOf('valve:replace', 'Take the check valve out, or replace it', true),
  'float-fouled': repairOf('float:clear', 'Clear what the float hangs on'),
  'float-too-low': repairOf(
    'float:raise',
    'Set the float where it switches off above the level at which the pump sucks air',
  ),
  'float-upright': repairOf('float:mount', 'Mount the float as its maker says, free to swing'),
};

/** What may be wrong on the side of the water. */
export function ofWater({ assessed, netlist }: FaultGround): Candidate[] {
  const [pump] = pumpsOf(netlist);
  if (pump === undefined) return [];
  const floats = netlist.parts.some(({ kind }) => kind === 'float-switch' || kind === 'through-float');
  const valve = assessed.circuit.water?.hose?.checkValve === true;
  return waterFaultKeys
    .filter((key) => (key.startsWith('float-') ? floats : key !== 'valve-jammed' || valve))
    .map((key): Candidate => {
      const { name, seenAt, seen } = waterFaultOf(key);
      return {
        id: key,
        words: name,
        faults: [],
        water: key,
        group: waterGroups[key],
        repair: waterRepairs[key],
        at: [key.startsWith('float-') ? 'float' : pump],
        shows: { [seenAt === 'float' ? 'float-look' : seenAt === 'strainer' ? 'strainer' : 'hose']: seen },
      };
    });
}
