import { barePhoto, readPhoto } from './photograph';

const segment = (kind: number, ...body: readonly number[]) => [0xff, kind, 0, body.length + 2, ...body];
const START = [0xff, 0xd8];
const END = [0xff, 0xd9];
const HEADER = segment(0xe0, 0x4a, 0x46, 0x49, 0x46, 0);
const FRAME = segment(0xc0, 8, 0x04, 0xb0, 0x06, 0x40, 1, 1, 0x11, 0);
/** A picture with an escaped mark and a restart in it. */
const SCAN = [...segment(0xda, 1, 1, 0, 0, 63, 0), 1, 2, 0xff, 0x00, 3, 0xff, 0xd3, 4];
const EXIF = segment(0xe1, 0x45, 0x78, 0x69, 0x66, 0, 0, 9, 9);
const NOTE = segment(0xfe, 65, 66);
const file = (...parts: readonly (readonly number[])[]) => Uint8Array.from(parts.flat());

const plain = file(START, HEADER, FRAME, SCAN, END);

describe('a photograph', () => {
  it('is read with its size', () => {
    expect(readPhoto(plain)).toEqual({ widthPx: 1600, heightPx: 1200, bare: true });
  });

  it.each([
    ['place and device', file(START, HEADER, EXIF, FRAME, SCAN, END)],
    ['a comment', file(START, HEADER, FRAME, NOTE, SCAN, END)],
    ['another maker’s data, after the first scan', file(START, HEADER, FRAME, SCAN, segment(0xed, 1, 2, 3), SCAN, END)],
    ['something after its end', file(START, HEADER, FRAME, SCAN, END, [1, 2, 3])],
  ])('with %s is not bare, and is once that is stripped', (_what, told) => {
    expect(readPhoto(told)?.bare).toBe(false);
    const bare = barePhoto(told);
    expect(bare && readPhoto(bare)).toEqual({ widthPx: 1600, heightPx: 1200, bare: true });
  });

  it('keeps its colours: profile and transform are no words about anybody', () => {
    const coloured = file(START, HEADER, segment(0xe2, 1), segment(0xee, 2), FRAME, SCAN, END);
    expect(readPhoto(coloured)?.bare).toBe(true);
    expect(barePhoto(coloured)).toEqual(coloured);
  });

  it.each([
    ['nothing', file()],
    ['text', file([60, 115, 118, 103])],
    ['one without an end', file(START, HEADER, FRAME, SCAN)],
    ['one without a frame', file(START, HEADER, SCAN, END)],
    ['one whose segment is longer than the file', file(START, [0xff, 0xe0, 0x40, 0])],
    ['one with a length of one', file(START, [0xff, 0xe0, 0, 1], END)],
  ])('that is %s is none', (_what, bytes) => {
    expect(readPhoto(bytes)).toBeNull();
  });

  it('in random bytes is never bare by mistake', () => {
    // What is cut anywhere is none.
    for (let length = 0; length < plain.length; length += 1) expect(readPhoto(plain.subarray(0, length))).toBeNull();
  });
});
