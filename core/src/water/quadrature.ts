/** Nodes and weights of Gauss–Legendre quadrature on −1…1, exact to degree 2n − 1. */
export interface Rule {
  readonly nodes: readonly number[];
  readonly weights: readonly number[];
}

/** The rule with `count` nodes, by Newton's method on the Legendre polynomial. */
export function gaussLegendre(count: number): Rule {
  const nodes: number[] = [];
  const weights: number[] = [];
  for (let index = 0; index < count; index += 1) {
    let x = Math.cos((Math.PI * (index + 0.75)) / (count + 0.5));
    let slope = 1;
    for (let step = 0; step < 50; step += 1) {
      let [before, value] = [1, x];
      for (let degree = 2; degree <= count; degree += 1) {
        [before, value] = [value, ((2 * degree - 1) * x * value - (degree - 1) * before) / degree];
      }
      slope = (count * (x * value - before)) / (x * x - 1);
      const change = value / slope;
      x -= change;
      if (Math.abs(change) < 1e-15) break;
    }
    nodes.push(x);
    weights.push(2 / ((1 - x * x) * slope * slope));
  }
  return { nodes, weights };
}

/** ∫ f from `from` to `to` by a rule. */
export function integrate(rule: Rule, from: number, to: number, f: (x: number) => number): number {
  const half = (to - from) / 2;
  const middle = (to + from) / 2;
  let sum = 0;
  for (let index = 0; index < rule.nodes.length; index += 1) {
    sum += (rule.weights[index] ?? 0) * f(middle + half * (rule.nodes[index] ?? 0));
  }
  return half * sum;
}
