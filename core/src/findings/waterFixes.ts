import type { Circuit, CircuitWater } from '../job';
import { isAmong, isWithin } from '../water';
import type { FixIdea, Means } from './finding';
import type { WaterFacts } from './waterFacts';
import { waterSpeech } from './waterWords';

type Watered = Circuit & { readonly water: CircuitWater };

function isWatered(circuit: Circuit): circuit is Watered {
  return circuit.water !== undefined;
}

/** The circuit with its float elsewhere or of other heights. */
function withFloat(circuit: Watered, float: NonNullable<CircuitWater['float']>): Circuit {
  return { ...circuit, water: { ...circuit.water, float: { ...circuit.water.float, ...float } } };
}

/** The circuit with its hose changed. */
function withHose(circuit: Watered, hose: Partial<NonNullable<CircuitWater['hose']>>): Circuit | null {
  return circuit.water.hose
    ? { ...circuit, water: { ...circuit.water, hose: { ...circuit.water.hose, ...hose, guessed: false } } }
    : null;
}

/** Raising or lowering the float to the recommended height. */
export function moveToRecommended(circuit: Circuit, { float, window, units }: WaterFacts): FixIdea[] {
  const toM = window?.recommendedM ?? null;
  if (!isWatered(circuit) || !float || toM === null) return [];
  const byM = toM - float.zM;
  if (Math.abs(byM) < 5e-4) return [];
  return [
    {
      label: `${byM > 0 ? 'Raise' : 'Lower'} the float by ${waterSpeech(units).height(Math.abs(byM))}`,
      circuit: withFloat(circuit, { zM: toM }),
    },
  ];
}

/** Places on the way from the float to its pump, a centimetre apart. */
const STEPS_M = 0.01;
const MOST_STEPS = 120;

/** The least move towards the pump, along and across, after which some height keeps every rule; that height with it. */
export function moveTowardsPump(circuit: Circuit, water: WaterFacts, means: Means): FixIdea[] {
  const { float } = water;
  if (!isWatered(circuit) || !float) return [];
  const place = circuit.water.pumpAt ?? { xM: 0, yM: 0 };
  const [dx, dy] = [place.xM - float.xM, place.yM - float.yM];
  const distanceM = Math.hypot(dx, dy);
  for (let step = 1; step <= Math.min(MOST_STEPS, Math.ceil(distanceM / STEPS_M)); step += 1) {
    const share = Math.min(1, (step * STEPS_M) / distanceM);
    const moved = { xM: rounded(float.xM + share * dx), yM: rounded(float.yM + share * dy) };
    const window = means.waterAs(withFloat(circuit, moved))?.window;
    if (!window || window.recommendedM === null) continue;
    const movedM = Math.hypot(moved.xM - float.xM, moved.yM - float.yM);
    return [
      {
        label: `Move the float ${waterSpeech(water.units).height(movedM)} towards the pump`,
        circuit: withFloat(circuit, { ...moved, zM: window.recommendedM }),
      },
    ];
  }
  return [];
}

const rounded = (metres: number) => Math.round(metres * 1000) / 1000;

/** The least wider dead-band with which some height keeps every rule. */
export function widenFloat(circuit: Circuit, water: WaterFacts, means: Means): FixIdea[] {
  const { float, sensor } = water;
  if (!isWatered(circuit) || !float || sensor === 'integral') return [];
  for (let onM = float.onM + 0.005; onM <= Math.min(0.4, float.onM + 0.25); onM += 0.005) {
    const wider = { onM: rounded(onM), offM: float.offM };
    const window = means.waterAs(withFloat(circuit, wider))?.window;
    if (!window || window.recommendedM === null || !isAmong(window.comfort, window.recommendedM, 1e-9)) continue;
    return [
      {
        label: `Fit a float with on at ${waterSpeech(water.units).height(wider.onM)}, off at ${waterSpeech(water.units).height(wider.offM)}`,
        circuit: withFloat(circuit, { ...wider, zM: window.recommendedM }),
      },
    ];
  }
  return [];
}

/** A check valve in the hose; the float set anew where that asks for it. */
export function addCheckValve(circuit: Circuit, water: WaterFacts, means: Means): FixIdea[] {
  if (!isWatered(circuit) || circuit.water.hose?.checkValve === true) return [];
  return hoseIdea(circuit, water, means, { checkValve: true }, 'Fit a check valve in the hose');
}

/** Common bores of hose, m. */
export const hoseBoresM = [0.013, 0.016, 0.019, 0.025, 0.029, 0.032, 0.038, 0.051] as const;

/** The next smaller hose, which holds less. */
export function thinnerHose(circuit: Circuit, water: WaterFacts, means: Means): FixIdea[] {
  const boreM = circuit.water?.hose?.boreM;
  const next = boreM === undefined ? undefined : hoseBoresM.findLast((bore) => bore < boreM - 1e-6);
  if (!isWatered(circuit) || next === undefined) return [];
  return hoseIdea(circuit, water, means, { boreM: next }, `Use ${waterSpeech(water.units).height(next)} hose`);
}

/** The next larger hose up to the bore given, each one. */
export function widerHoses(circuit: Circuit, water: WaterFacts, means: Means): FixIdea[] {
  const boreM = circuit.water?.hose?.boreM;
  if (!isWatered(circuit) || boreM === undefined) return [];
  const own = circuit;
  return hoseBoresM
    .filter((bore) => bore > boreM + 1e-6)
    .slice(0, 3)
    .flatMap((bore) =>
      hoseIdea(own, water, means, { boreM: bore }, `Use ${waterSpeech(water.units).height(bore)} hose`),
    );
}

function hoseIdea(
  circuit: Watered,
  water: WaterFacts,
  means: Means,
  hose: Partial<NonNullable<CircuitWater['hose']>>,
  label: string,
): FixIdea[] {
  const changed = withHose(circuit, hose);
  if (!changed || !isWatered(changed)) return [];
  const window = means.waterAs(changed)?.window;
  const { float } = water;
  if (!window || !float || window.recommendedM === null) return [{ label, circuit: changed }];
  if (isWithin(window, float.zM)) return [{ label, circuit: changed }];
  return [
    {
      label: `${label}, float’s base at ${waterSpeech(water.units).height(window.recommendedM)}`,
      circuit: withFloat(changed, { zM: window.recommendedM }),
    },
  ];
}

/** A smooth hose of the same bore and route. */
export function smoothWall(circuit: Circuit): FixIdea[] {
  if (!isWatered(circuit)) return [];
  const changed = withHose(circuit, { wall: 'smooth' });
  return changed ? [{ label: 'Use smooth hose of the same bore', circuit: changed }] : [];
}

/** The float raised by a height. */
export function raiseBy(circuit: Circuit, { float, units }: WaterFacts, byM: number): FixIdea[] {
  if (!isWatered(circuit) || !float) return [];
  const zM = Math.ceil(1000 * (float.zM + byM) - 1e-6) / 1000;
  return [
    {
      label: `Raise the float by ${waterSpeech(units).height(zM - float.zM)}`,
      circuit: withFloat(circuit, { zM }),
    },
  ];
}

/** The float at the pump, at the height recommended there. */
export function floatAtPump(circuit: Circuit, _water: WaterFacts, means: Means): FixIdea[] {
  if (!isWatered(circuit)) return [];
  const { xM, yM } = circuit.water.pumpAt ?? { xM: 0, yM: 0 };
  const moved = withFloat(circuit, { xM, yM });
  const zM = means.waterAs(moved)?.window?.recommendedM ?? null;
  return [
    {
      label: 'Fit the float beside its pump',
      circuit: zM === null || !isWatered(moved) ? moved : withFloat(moved, { zM }),
    },
  ];
}

/** The least move of the pump towards its float after which some height keeps every rule. */
export function movePumpTowardsFloat(circuit: Circuit, water: WaterFacts, means: Means): FixIdea[] {
  const { float } = water;
  if (!isWatered(circuit) || !float || water.sensor === 'integral') return [];
  const from = circuit.water.pumpAt ?? { xM: 0, yM: 0, zM: 0 };
  const [dx, dy] = [float.xM - from.xM, float.yM - from.yM];
  const distanceM = Math.hypot(dx, dy);
  for (let step = 1; step <= Math.min(MOST_STEPS, Math.ceil(distanceM / STEPS_M)); step += 1) {
    const share = Math.min(1, (step * STEPS_M) / distanceM);
    const pumpAt = { xM: rounded(from.xM + share * dx), yM: rounded(from.yM + share * dy), zM: from.zM };
    const moved: Watered = { ...circuit, water: { ...circuit.water, pumpAt } };
    const window = means.waterAs(moved)?.window;
    if (!window || window.recommendedM === null) continue;
    return [
      {
        label: `Move the pump ${waterSpeech(water.units).height(share * distanceM)} towards the float`,
        circuit: withFloat(moved, { zM: window.recommendedM }),
      },
    ];
  }
  return [];
}
