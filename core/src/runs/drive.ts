import {
  isFloat,
  motorAt,
  positionsOf,
  SolverMemory,
  truthRow,
  type Motor,
  type Netlist,
  type Setting,
} from '../circuit';
import type { PlanIds } from '../schemes';
import { driveCurve, type Drive, type DriveCurve } from '../water';
import { withPump, withSupply } from '../sizing';

/** A circuit as a long run feels it: what it draws and how fast its pump turns, at any volts at the battery's posts. */
export function driveOf(netlist: Netlist, motor: Motor, { pump, battery }: PlanIds): Drive {
  // Other circuits on the feed run in their own time.
  const memory = new SolverMemory();
  const alone = { ...netlist, parts: netlist.parts.filter(({ kind }) => kind !== 'shared-load') };
  const curve = (setting: Setting, dry = false): DriveCurve => {
    const working = dry ? withPump(alone, 'dry') : alone;
    return driveCurve((postsV) => {
      const { point } = truthRow(withSupply(working, postsV), setting, memory);
      // A relay that chatters at these volts pumps nothing.
      if (!point) return { amps: 0, speedRatio: 0 };
      const volts = point.voltsAcross(pump, 'plus', 'minus');
      const { speedRatio } = motorAt(motor, volts, dry ? 'dry' : 'sound');
      // A pump found reversed turns the wrong way: its curve says what that moves.
      return { amps: point.partA(battery), speedRatio: Math.abs(speedRatio) };
    });
  };
  const up = settingOf(alone, 'auto', 'up');
  return {
    waiting: curve(settingOf(alone, 'auto', 'down')),
    off: curve(settingOf(alone, 'off', 'down')),
    running: curve(up),
    manual: curve(settingOf(alone, 'manual', 'down')),
    dry: curve(up, true),
  };
}

/** Every switch in a position, or off where it does not have it; every float down or up. */
function settingOf({ parts }: Netlist, position: 'auto' | 'off' | 'manual', floats: 'down' | 'up'): Setting {
  return {
    switches: Object.fromEntries(
      parts.flatMap((part) => {
        const positions = part.kind === 'alarm' ? [] : positionsOf(part);
        if (positions.length === 0) return [];
        return [[part.id, positions.includes(position) ? position : 'off'] as const];
      }),
    ),
    floats: Object.fromEntries(parts.filter(isFloat).map(({ id }) => [id, floats])),
  };
}
