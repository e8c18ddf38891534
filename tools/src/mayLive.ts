import type { Survivor } from './survivor';

type Mutant = Omit<Survivor, 'reason'>;

interface Pardon {
  readonly reason: string;
  readonly is: (mutant: Mutant) => boolean;
}

/** Whether a comparison has become the same with or without its equals sign. */
function onlyEqualDiffers({ mutator, was, became }: Mutant): boolean {
  if (mutator !== 'EqualityOperator') return false;
  const plain = (text: string) => text.replace(/([<>])=/g, '$1');
  return plain(was) === plain(became);
}

const inFile = (file: string, was: RegExp) => (mutant: Mutant) => mutant.file === file && was.test(mutant.was);

/** Kept results and short ways past what would come to the same. */
const shortWays = [
  inFile(
    'water/simulate.ts',
    /kept|known|byLevel|mode\.flows|this\.even|fillM3|fromM3: this\.volumeM3|\{ … |nextWatch|watchS/,
  ),
  inFile('water/modeKeeper.ts', /known|fresh|charges|kept/),
  inFile('water/setUp.ts', /last|volumeM3 <= mostM3|known|floats|onM3|gainM3|1\.2 \*|LEVEL_POINTS|NaN/),
  inFile('water/intervals.ts', /only|wide|pieces\.every/),
  inFile('water/rootGrid.ts', /kept|first !==/),
  inFile('water/modes.ts', /kept|slice/),
  inFile('water/cycles.ts', /step === 0|ROUNDING/),
  inFile('water/well.ts', /1e-12|high < dryM/),
  inFile('water/advance.ts', /flows\.even|Math\.sign\(first\)/),
  inFile('findings/index.ts', /./),
];

/** Places that decide how soon a result is found; which one it is, is held to its tolerance by the tests. */
const howSoon = [
  inFile('water/root.ts', /./),
  inFile('water/friction.ts', /step|change|1e-12|1\.8|1\.11|6\.9|3\.7/),
  inFile('water/quadrature.ts', /step|change|1e-15|0\.75|0\.5/),
  inFile('water/simBattery.ts', /round|next|1e-9/),
  inFile('water/pumpCurve.ts', /step|high|low|200|1e-15/),
  inFile('water/advance.ts', /steep|ratio|depth|pieces|tries|miss|tolerance|step|round|toM3|mostS|net|passage|\{ … /),
  inFile('water/hoseFlow.ts', /POINTS|NEAR_SHUT_OFF|MOST_SPEED|most/),
];

const anyOf = (those: readonly ((mutant: Mutant) => boolean)[]) => (mutant: Mutant) => those.some((one) => one(mutant));

/** Why some mutants may live: nothing that anybody sees differs, or it differs by less than is meant. The first that fits is said. */
export const mayLive: readonly Pardon[] = [
  {
    reason: 'The value is always there: the type checker alone asks for the question mark or for what stands in',
    is: ({ mutator, was }) => mutator === 'OptionalChaining' || (mutator === 'LogicalOperator' && was.includes('??')),
  },
  {
    reason: 'Cannot be reached: the type checker holds that every kind is named',
    is: ({ was }) => /^default:|satisfies never/.test(was),
  },
  {
    reason: 'Differs only where both sides are equal: a slack keeps that out, or both ways say the same there',
    is: onlyEqualDiffers,
  },
  {
    reason: 'The slack beside a limit is a billionth: a little more or less of it decides nothing that can be measured',
    is: ({ was }) => /SLACK|STILL|CLOSE|\b1e-(6|8|9|1\d)\b/.test(was),
  },
  { reason: 'A kept result or a short way: without it the same comes out, later', is: anyOf(shortWays) },
  {
    reason: 'How soon, or in how many pieces, a result is found, not which: that is held to its tolerance',
    is: anyOf(howSoon),
  },
];
