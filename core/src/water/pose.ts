/** An attitude of the boat, as slopes read along and across it; 0 is level. */
export interface Attitude {
  /** Bow down is positive, degrees. */
  readonly trimDeg: number;
  /** Starboard down is positive, degrees. */
  readonly heelDeg: number;
}

/** The slopes of the water's surface in the boat's frame: x forward, y to starboard. */
export interface Slopes {
  readonly alongX: number;
  readonly alongY: number;
}

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** How the water's surface slopes in an attitude: its height is h + x·tan(trim) + y·tan(heel). */
export function slopesOf({ trimDeg, heelDeg }: Attitude): Slopes {
  return { alongX: Math.tan(radians(trimDeg)), alongY: Math.tan(radians(heelDeg)) };
}

/** How much higher the water stands at a place than at the pump, m. */
export function riseAt({ alongX, alongY }: Slopes, { xM, yM }: { readonly xM: number; readonly yM: number }): number {
  return xM * alongX + yM * alongY;
}
