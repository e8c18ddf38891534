import type { PlacedFloat, WindowPose, WindowQuestion } from './floatWindow';
import { slopesOf, type Attitude } from './pose';
import { floorAt, posedWell, type Well } from './well';

/** A hinged float 200 mm forward of its pump, on at 55 mm and off at 25 mm over its base. */
export const hinged: PlacedFloat = { xM: 0.2, yM: 0, zM: 0, onM: 0.055, offM: 0.025, onDelayS: 0, runOnS: 0 };

export function poseOf(well: Well, float: PlacedFloat, attitude: Attitude, more: Partial<WindowPose> = {}): WindowPose {
  const slopes = slopesOf(attitude);
  return {
    id: `${attitude.trimDeg} ${attitude.heelDeg}`,
    slopes,
    well: posedWell(well, slopes),
    floorM: floorAt(well, float),
    drainBackM3: 0.0005,
    flow: 1500 / 3.6e6,
    primeLossM: 0.012,
    limit: { levelM: 0.2, id: 'joints' },
    afterM: null,
    ...more,
  };
}

export function questionOf(poses: readonly WindowPose[], float = hinged): WindowQuestion {
  return {
    float,
    pumps: true,
    poses,
    mostIngress: 1e-4,
    marginM: 0.01,
    drainBackFactor: 1.5,
    shortestRunS: 10,
    abovePrimaryM: 0.06,
  };
}
