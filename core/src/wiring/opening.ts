import { protectionFamilies, type OpeningPoint, type ProtectionKind } from '../reference';

export type Edge = 'fastest' | 'slowest';

/** How long a device takes to open: seconds, never, or not shown for want of a curve. */
export type Opening =
  { readonly kind: 'opens'; readonly seconds: number } | { readonly kind: 'never' } | { readonly kind: 'not-shown' };

/**
 * Time to open at a steady current, on one edge of the device's window.
 * Straight between points on log-log paper; beyond the last point its time;
 * below the first point, or next to a point without limit, never.
 * @param ratingA device rating, A (> 0)
 * @param amps steady current, A (≥ 0)
 */
export function openingTime(kind: ProtectionKind, ratingA: number, amps: number, edge: Edge): Opening {
  const curve = protectionFamilies[kind].opening;
  if (!curve) return { kind: 'not-shown' };
  const multiple = amps / ratingA;
  const upper = curve.findIndex(([at]) => multiple <= at);
  const last = curve[curve.length - 1];
  if (upper === -1) return last ? fromSeconds(secondsOf(last, edge)) : { kind: 'not-shown' };
  const right = curve[upper];
  if (right && multiple === right[0]) return fromSeconds(secondsOf(right, edge));
  const left = curve[upper - 1];
  if (!left || !right) return { kind: 'never' };
  return between(left, right, multiple, edge);
}

function between(left: OpeningPoint, right: OpeningPoint, multiple: number, edge: Edge): Opening {
  const from = secondsOf(left, edge);
  const to = secondsOf(right, edge);
  if (from === null || to === null) return { kind: 'never' };
  const share = Math.log(multiple / left[0]) / Math.log(right[0] / left[0]);
  return { kind: 'opens', seconds: Math.exp(Math.log(from) + share * Math.log(to / from)) };
}

function secondsOf(point: OpeningPoint, edge: Edge): number | null {
  return edge === 'fastest' ? point[1] : point[2];
}

function fromSeconds(seconds: number | null): Opening {
  return seconds === null ? { kind: 'never' } : { kind: 'opens', seconds };
}

/** Seconds as a number or null: null for never and for not shown. */
export function openingSeconds(opening: Opening): number | null {
  return opening.kind === 'opens' ? opening.seconds : null;
}
