/** The longest side of a kept photograph, pixels, and its size, bytes. */
export const PHOTO_SIDE_PX = 1600;
export const PHOTO_BYTES = 400 * 1024;

/** A photograph's bytes read: its parts that say more than the picture, and its size; null where it is no JPEG. */
export interface ReadPhoto {
  readonly widthPx: number;
  readonly heightPx: number;
  /** True where nothing but the picture is in it: no place, no device, no comment, nothing after its end. */
  readonly bare: boolean;
}

interface Segment {
  readonly kind: number;
  /** Where its mark begins, and where it ends. */
  readonly from: number;
  readonly to: number;
}

const START = 0xd8;
const END = 0xd9;
const SCAN = 0xda;
const COMMENT = 0xfe;

/** Frame headers: C0 to CF without the tables (C4), the extension (C8) and arithmetic conditioning (CC). */
const isFrame = (kind: number) => kind >= 0xc0 && kind <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(kind);

/** Tells of place, device or person: application data but for the plain header (APP0), colour profile (APP2) and colour transform (APP14), and comments. */
const tells = (kind: number) => (kind >= 0xe1 && kind <= 0xef && kind !== 0xe2 && kind !== 0xee) || kind === COMMENT;

/** The segments of a JPEG up to its end (ITU-T T.81, annex B); null for what is none. */
function segmentsOf(bytes: Uint8Array): Segment[] | null {
  const at = (index: number) => bytes[index] ?? -1;
  if (at(0) !== 0xff || at(1) !== START) return null;
  const segments: Segment[] = [];
  for (let from = 2; from < bytes.length;) {
    if (at(from) !== 0xff) return null;
    const kind = at(from + 1);
    if (kind === END) return [...segments, { kind, from, to: from + 2 }];
    const length = (at(from + 2) << 8) | at(from + 3);
    if (length < 2 || from + 2 + length > bytes.length) return null;
    let to = from + 2 + length;
    if (kind === SCAN) {
      // The picture itself: in it a mark is followed by a nought or a restart.
      while (
        to < bytes.length - 1 &&
        !(at(to) === 0xff && at(to + 1) !== 0 && !(at(to + 1) >= 0xd0 && at(to + 1) <= 0xd7))
      )
        to += 1;
    }
    segments.push({ kind, from, to });
    from = to;
  }
  return null;
}

/** Reads a photograph's bytes. @returns null where they are no whole JPEG */
export function readPhoto(bytes: Uint8Array): ReadPhoto | null {
  const segments = segmentsOf(bytes);
  const frame = segments?.find(({ kind }) => isFrame(kind));
  const end = segments?.[segments.length - 1]?.to;
  if (!segments || !frame || end === undefined || frame.to - frame.from < 11) return null;
  const word = (index: number) => ((bytes[index] ?? 0) << 8) | (bytes[index + 1] ?? 0);
  return {
    heightPx: word(frame.from + 5),
    widthPx: word(frame.from + 7),
    bare: end === bytes.length && !segments.some(({ kind }) => tells(kind)),
  };
}

/** A photograph with nothing but the picture in it; null where it is no whole JPEG. */
export function barePhoto(bytes: Uint8Array): Uint8Array<ArrayBuffer> | null {
  const segments = segmentsOf(bytes);
  if (!segments) return null;
  const kept = segments.filter(({ kind }) => !tells(kind));
  const bare = new Uint8Array(2 + kept.reduce((sum, { from, to }) => sum + to - from, 0));
  bare.set(bytes.subarray(0, 2));
  let at = 2;
  for (const { from, to } of kept) {
    bare.set(bytes.subarray(from, to), at);
    at += to - from;
  }
  return bare;
}
