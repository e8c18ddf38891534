import { mapParts, windingRatio, type Netlist, type Part } from '../circuit';

/** What of a sound circuit nobody knows exactly, and how far it may lie off. */
export const spreads = {
  labelCurrent: { share: 0.1, what: 'label amperes ± 10 %' },
  winding: { ohm: 0.3, least: 0.02, most: 0.6, what: 'winding ± 0.3 Ω' },
  joints: { factor: 3, what: 'good joints up to three times' },
} as const;

/** A sound circuit at one end of what is not known of it. */
export interface Corner {
  readonly netlist: Netlist;
  readonly of: keyof typeof spreads;
}

function withMotor(netlist: Netlist, change: (motor: Extract<Part, { kind: 'pump' }>['motor']) => object): Netlist {
  return mapParts(netlist, (part) =>
    part.kind === 'pump' ? { ...part, motor: { ...part.motor, ...change(part.motor) } } : part,
  );
}

/** A winding moved, but kept within what bilge pumps have. */
function windingBy(netlist: Netlist, ohm: number): Netlist {
  return withMotor(netlist, (motor) => {
    const perRatio = motor.windingOhm / windingRatio(motor);
    const { least, most } = spreads.winding;
    return { windingOhm: Math.min(most * perRatio, Math.max(least * perRatio, motor.windingOhm + ohm)) };
  });
}

/** The ends of everything that is not known of a sound circuit, one after the other. */
export function cornersOf(netlist: Netlist): Corner[] {
  const { labelCurrent, winding, joints } = spreads;
  const label = [1 - labelCurrent.share, 1 + labelCurrent.share].map((by) =>
    withMotor(netlist, ({ labelA }) => ({ labelA: labelA * by })),
  );
  const windings = [-winding.ohm, winding.ohm].map((ohm) => windingBy(netlist, ohm));
  const joined = mapParts(netlist, (part) =>
    part.kind === 'joint' ? { ...part, ohm: part.ohm * joints.factor } : part,
  );
  return [
    ...label.map((one): Corner => ({ netlist: one, of: 'labelCurrent' })),
    ...windings.map((one): Corner => ({ netlist: one, of: 'winding' })),
    { netlist: joined, of: 'joints' },
  ];
}
