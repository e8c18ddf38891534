/** Every order of some places. */
export function permutations(places: readonly number[]): number[][] {
  if (places.length === 0) return [[]];
  return places.flatMap((first) => permutations(places.filter((one) => one !== first)).map((rest) => [first, ...rest]));
}
