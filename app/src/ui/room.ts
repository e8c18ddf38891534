/** From this width on stations stand at the left, the drawing in the middle, tools at the right, px. */
const WIDE = 1000;
/** A page no higher than this is a phone on its side, px. */
const FLAT = 500;
/** Narrower than this nothing finds its place beside anything, px. */
const LEAST_BESIDE = 640;

const RAIL = { wide: 184, flat: 132 } as const;
const TOOLS_WIDE = 480;

/** What a page has room for. */
export interface Room {
  /** One below the other on a phone; side by side on a phone on its side, and with the drawing on a wide page. */
  readonly layout: 'phone' | 'flat' | 'wide';
  /** Whether drawing and tools stand side by side. */
  readonly beside: boolean;
  /** Widths of the rail of stations, the drawing and the tools, and the page's height, px. */
  readonly railWidth: number;
  readonly drawingWidth: number;
  readonly toolsWidth: number;
  readonly height: number;
}

/** @param width of the page, px @param height of the page, px */
export function roomOf(width: number, height: number): Room {
  if (width >= WIDE && height > FLAT) {
    const drawingWidth = width - RAIL.wide - TOOLS_WIDE;
    return { layout: 'wide', beside: true, railWidth: RAIL.wide, drawingWidth, toolsWidth: TOOLS_WIDE, height };
  }
  if (width >= LEAST_BESIDE && height <= FLAT) {
    const stations = width - RAIL.flat;
    const drawingWidth = Math.round(stations * 0.48);
    return {
      layout: 'flat',
      beside: true,
      railWidth: RAIL.flat,
      drawingWidth,
      toolsWidth: stations - drawingWidth,
      height,
    };
  }
  return { layout: 'phone', beside: false, railWidth: 0, drawingWidth: width, toolsWidth: width, height };
}
