import { ourRules } from '../reference';
import type { Circuit } from '../job';
import { toldApart } from '../units';
import type { Judgement } from './finding';
import type { WaterFacts } from './waterFacts';
import { smoothWall, widerHoses } from './waterFixes';
import { saying } from './waterSaying';
import { waterSpeech } from './waterWords';

/** The hose: its bore, its dips, its wall and its check valve. */
export function hoseJudgements(circuit: Circuit, water: WaterFacts): Judgement[] {
  if (!water.hose) return [];
  return [
    ...boreJudgements(circuit, water),
    ...dipJudgements(water),
    ...wallJudgements(circuit, water),
    ...(water.hose.checkValve ? [checkValve()] : []),
  ];
}

function boreJudgements(circuit: Circuit, water: WaterFacts): Judgement[] {
  const { hose } = water;
  const portM = circuit.water?.portM;
  if (!hose || portM === undefined || hose.boreM >= portM - 1e-6) return [];
  const [bore, port] = toldApart(hose.boreM, portM, waterSpeech(water.units).height);
  return [
    saying({
      code: 'hose-below-port',
      severity: 'caution',
      message: `The hose’s bore of ${bore} is smaller than the pump’s outlet of ${port}: it takes flow that the pump could give. Use a hose as wide as the outlet.`,
      rule: 'The hose is at least as wide as the pump’s outlet.',
      at: ['pump'],
      ideas: (means) => widerHoses(circuit, water, means),
    }),
  ];
}

/** A dip holds water; an empty hose above it must climb the sum of its rises, at the volts of a tired battery. */
function dipJudgements({ poses, lowestShutOffM, units }: WaterFacts): Judgement[] {
  if (!poses.some(({ dips }) => dips)) return [];
  const say = waterSpeech(units);
  const locks =
    lowestShutOffM === null ? undefined : poses.find(({ dips, climbM }) => dips && climbM > lowestShutOffM + 1e-9);
  return [
    saying({
      code: 'hose-dip',
      severity: locks ? 'stop' : 'caution',
      message: locks
        ? `The hose goes down and up again and holds water there: empty above it, the pump must climb ${say.head(locks.climbM)}, and at the lowest supply it reaches ${say.head(lowestShutOffM ?? 0)}. It locks on air. Lead the hose so that it only rises to its highest point.`
        : 'The hose goes down and up again: the dip holds water, freezes, and makes every start climb the sum of its rises. Lead it so that it only rises to its highest point.',
      rule: 'A hose rises all the way to its highest point.',
    }),
  ];
}

/** What a corrugated wall costs, in litres. */
function wallJudgements(circuit: Circuit, { wall, units }: WaterFacts): Judgement[] {
  if (!wall) return [];
  const lost = wall.smoothLPerH - wall.corrugatedLPerH;
  if (lost <= wall.smoothLPerH * ourRules.wallNoticeShare.value * (1 + 1e-9)) return [];
  const say = waterSpeech(units);
  return [
    saying({
      code: 'corrugated-wall',
      severity: 'note',
      message: `The corrugated hose moves ${say.flow(wall.corrugatedLPerH)} at 12.8 V; a smooth one of the same bore moves ${say.flow(wall.smoothLPerH)}. Where it may be renewed, use smooth hose.`,
      rule: 'Smooth bore where water is pumped.',
      source: 'Darcy–Weisbach with each wall’s roughness',
      ideas: () => smoothWall(circuit),
    }),
  ];
}

function checkValve(): Judgement {
  return saying({
    code: 'check-valve',
    severity: 'caution',
    message:
      'The hose has a check valve: it jams on debris, can hold air under it, and costs head. Make it reachable, clean it each season, and never let it be the only guard against water coming in.',
    rule: 'Default none; a check valve is kept clean and is no seacock.',
    source: 'Common practice',
  });
}
