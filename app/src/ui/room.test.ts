import { roomOf } from './room';

describe('the room of a page', () => {
  it('is one below the other on a phone held upright, side by side on its side', () => {
    expect(roomOf(390, 844)).toMatchObject({ layout: 'phone', beside: false, drawingWidth: 390 });
    expect(roomOf(844, 390)).toMatchObject({ layout: 'flat', beside: true });
  });

  it('gives rail, drawing and tools all of the width and no more', () => {
    for (const [width, height] of [
      [844, 390],
      [640, 360],
      [1280, 800],
      [1920, 1080],
    ] as const) {
      const { railWidth, drawingWidth, toolsWidth } = roomOf(width, height);
      expect(railWidth + drawingWidth + toolsWidth).toBe(width);
    }
  });

  it('changes at a height of 500 px and at widths of 640 and 1000 px', () => {
    expect(roomOf(999, 800).layout).toBe('phone');
    expect(roomOf(1000, 501).layout).toBe('wide');
    expect(roomOf(1000, 500).layout).toBe('flat');
    expect(roomOf(639, 360).layout).toBe('phone');
    expect(roomOf(640, 360).layout).toBe('flat');
  });
});
