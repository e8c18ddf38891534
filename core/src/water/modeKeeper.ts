import type { Passage } from './advance';
import { heldInHoses } from './hosesFill';
import { findMode, modeKey, type Mode } from './modes';
import type { SimParts } from './setUp';

/** The battery is looked at anew when its charge has moved by this much; until then it is taken as halfway there. */
export const CHARGE_STEP = 4e-3;

/** What each circuit does and each pump takes: kept by what is switched, until the charge has moved. */
export class ModeKeeper {
  mode: Mode = { charges: [], amps: [], takers: [], takes: [], kept: [], inflow: 0, flows: null };
  /** How often one was reckoned anew. */
  reckonings = 0;
  /** Those met since it was last cleared. */
  readonly met = new Set<Mode>();
  private readonly kept = new Map<number, Mode>();

  constructor(private readonly parts: Pick<SimParts, 'pumps' | 'batteries' | 'takes' | 'fineness'>) {}

  /** Finds the mode of this moment, and tells the batteries what they give. */
  reckon(nowS: number): void {
    const { pumps, batteries, takes, fineness } = this.parts;
    const key = modeKey(pumps, batteries, nowS);
    const known = this.kept.get(key);
    const fresh = known?.charges.every(
      (charge, index) => Math.abs(charge - (batteries[index]?.charge ?? 0)) < CHARGE_STEP / fineness,
    );
    if (known && fresh) this.mode = known;
    else {
      this.reckonings += 1;
      this.mode = findMode(pumps, batteries, takes, nowS, CHARGE_STEP / fineness / 2);
      this.kept.set(key, this.mode);
    }
    this.met.add(this.mode);
    for (let index = 0; index < batteries.length; index += 1) {
      const one = batteries[index];
      if (one) one.amps = this.mode.amps[index] ?? 0;
    }
  }
  /** Cycle after cycle the same passage comes again while nothing but the clock has moved. */
  keptPassage(fromM3: number, net: number, target: number): Passage | null {
    const { kept, takers } = this.mode;
    const heldM3 = heldInHoses(takers);
    for (const one of kept) {
      if (one.fromM3 === fromM3 && one.target === target && one.net === net && one.fillM3 === heldM3)
        return one.passage;
    }
    return null;
  }

  /** Keeps a passage, and the three before it. */
  keep(passage: Mode['kept'][number]): void {
    this.mode.kept = [passage, ...this.mode.kept.slice(0, KEPT_BEFORE)];
  }
}

const KEPT_BEFORE = 3;
