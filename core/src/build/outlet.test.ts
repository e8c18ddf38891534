import { outletHole, panelCutOut } from './outlet';

const refusals = (words: readonly { refused: boolean; message: string }[] | undefined) =>
  (words ?? []).filter(({ refused }) => refused).map(({ message }) => message);

describe('the hole for the skin fitting', () => {
  it('is its thread and 1 to 1.5 mm, in the middle unless decided', () => {
    expect(outletHole({})).toBeNull();
    expect(outletHole({ threadM: 0.0415 })).toMatchObject({
      leastM: expect.closeTo(0.0425, 9),
      mostM: expect.closeTo(0.043, 9),
      holeM: expect.closeTo(0.04275, 9),
      words: [],
    });
    const at = (holeM: number) => refusals(outletHole({ threadM: 0.04, holeM })?.words);
    expect([at(0.041), at(0.0415)]).toEqual([[], []]);
    expect(at(0.0409)).toEqual([expect.stringContaining('too small')]);
    expect(at(0.0416)).toEqual([expect.stringContaining('too large')]);
  });

  it('leaves 6 mm of hull under the flange all round', () => {
    const at = (flangeM: number) => refusals(outletHole({ threadM: 0.04, holeM: 0.041, flangeM })?.words);
    expect(at(0.053)).toEqual([]);
    expect(at(0.0529)).toEqual([expect.stringMatching(/leaves 5\.\d+\s?mm of hull under it/)]);
    expect(at(0.041)).toEqual([expect.stringContaining('does not cover')]);
  });

  it('is not sealed with silicone, and a cored hull is filled first', () => {
    expect(refusals(outletHole({ threadM: 0.04, sealant: 'silicone' })?.words)).toHaveLength(1);
    expect(outletHole({ threadM: 0.04, cored: true })?.words).toEqual([
      { refused: false, message: expect.stringContaining('ream the core') },
    ]);
  });
});

describe('the hole for the panel', () => {
  const measured = { widthM: 0.1, heightM: 0.06 };
  it('keeps 25 mm to an edge and fits in depth; else it is refused with the figure', () => {
    expect(panelCutOut({})).toBeNull();
    expect(refusals(panelCutOut({ ...measured, edgeM: 0.025, depthM: 0.08, roomM: 0.08 })?.words)).toEqual([]);
    expect(refusals(panelCutOut({ ...measured, edgeM: 0.0249 })?.words)).toEqual([
      expect.stringContaining('to the edge'),
    ]);
    expect(refusals(panelCutOut({ ...measured, depthM: 0.081, roomM: 0.08 })?.words)).toEqual([
      expect.stringMatching(/81\s?mm deep .* 80\s?mm behind/),
    ]);
    expect(refusals(panelCutOut({ ...measured, cornerM: 0.031 })?.words)).toHaveLength(1);
  });
});
