import { formatQuantity, type UnitSystem } from '../units';

/** A class of pumps with figures typical of it. */
export interface PumpClass {
  readonly name: string;
  readonly currentA: number;
  readonly openFlowLPerH: number;
  readonly shutOffHeadM: number;
  readonly makerFuseA: number;
}

/**
 * Generic classes by open flow: starting points, to be replaced by the label's
 * figures. Amperes at 12 V, flow and head at 13.6 V.
 */
export const pumpCatalogue = {
  small: { name: 'Small', currentA: 2.8, openFlowLPerH: 1900, shutOffHeadM: 3, makerFuseA: 5 },
  medium: { name: 'Medium', currentA: 4.6, openFlowLPerH: 3000, shutOffHeadM: 4.2, makerFuseA: 7.5 },
  large: { name: 'Large', currentA: 6.5, openFlowLPerH: 5500, shutOffHeadM: 4.8, makerFuseA: 10 },
  heavy: { name: 'Heavy', currentA: 8.4, openFlowLPerH: 7500, shutOffHeadM: 5.5, makerFuseA: 15 },
  damage: { name: 'Damage control', currentA: 15.5, openFlowLPerH: 14000, shutOffHeadM: 6, makerFuseA: 25 },
} as const satisfies Record<string, PumpClass>;

export type PumpClassKey = keyof typeof pumpCatalogue;

/** A class as it is chosen: "Medium, 3000 L/h", in the units in force. */
export function pumpClassInWords(key: PumpClassKey, units: UnitSystem): string {
  const { name, openFlowLPerH } = pumpCatalogue[key];
  return `${name}, ${formatQuantity(openFlowLPerH, 'flow', units)}`;
}

/** Every class by its key, the smallest first. */
export const pumpClassKeys = Object.keys(pumpCatalogue) as readonly PumpClassKey[];
