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
  inFile('water/intervals.ts', /only|wide|pieces\.every|intervals\.length|slackM/),
  inFile('water/rootGrid.ts', /kept|first !==/),
  inFile('water/modes.ts', /kept|slice/),
  inFile('water/cycles.ts', /step === 0|ROUNDING/),
  inFile('water/well.ts', /1e-12|high < dryM/),
  inFile('water/advance.ts', /flows\.even|Math\.sign\(first\)/),
  inFile('findings/index.ts', /./),
  inFile('sizing/settings.ts', /knownRunning|wire\.ohm/),
  inFile('sizing/protection.ts', /netlist === question/),
];

/** Questions that only the type checker asks: what they would catch is never there, or never missing, at that place. */
const guards = [
  ({ mutator, was }: Mutant) => mutator === 'ArrayDeclaration' && was === '[]',
  inFile('findings/boat.ts', /ratingA === undefined|rest\.length|circuitId !== null/),
  inFile('findings/drop.ts', /!rated/),
  inFile('findings/faults.ts', /ratingA === undefined/),
  inFile('findings/flow.ts', /!nearest|hullLengthM === undefined/),
  inFile('findings/outlet.ts', /!own\?\.hose/),
  inFile(
    'findings/water.ts',
    /!float \|\| !window|!float \|\| !closest|sensor !== null|code: 'float-(short-run|too-high)'/,
  ),
  inFile('findings/waterWords.ts', /about === undefined/),
  inFile('findings/stepDown.ts', /floatLead === undefined/),
  inFile('findings/waterFixes.ts', /isWatered|boreM === undefined|recommendedM === null/),
  inFile('findings/rating.ts', /tolerated !== undefined/),
  inFile('wiring/ampacity.ts', /=== undefined|=== null/),
  inFile('wiring/opening.ts', /not-shown|to === null|opening\.kind === 'opens'/),
  inFile('water/floatWindow.ts', /!first \|\| !last|-Infinity|-HIGHEST_M/),
  inFile('water/survey.ts', /!== undefined/),
  inFile('water/advance.ts', /\(\) => 0/),
  inFile('water/modes.ts', /\(\) => 0/),
  inFile('water/ingress.ts', /fromS: Infinity|steps\.length/),
  inFile('water/modeKeeper.ts', /^one$/),
  inFile('water/trace.ts', /^row$/),
  inFile(
    'sizing/protection.ts',
    /part\.kind === 'fuse'|amps > 0|manualA !== undefined|autoA !== undefined|leg === 'stub'/,
  ),
  inFile('sizing/settings.ts', /part\.kind === 'pump'|motor\?\.kind/),
  inFile('sizing/windingTurn.ts', /part\.kind === 'pump'|=== 'stop'/),
];

/** Where both ways come to the same: nought of one is nought of the other, or a second condition holds what the first did. */
const comesToTheSame = [
  inFile('findings/rows.ts', /on off|isFloat/),
  inFile('findings/wiring.ts', /!circuit\.rewired|amps > most\.amps/),
  inFile('findings/conductors.ts', /names\.length|unsheathedM !== undefined|engineSpaceFactor !== null|sizes\.indexOf/),
  inFile('findings/contacts.ts', /ratingA === undefined/),
  inFile('findings/leads.ts', /leadsDropV === 0/),
  inFile('findings/legs.ts', /./),
  inFile('findings/place.ts', /fromPost|stubLengthM/),
  inFile('findings/stepDown.ts', /areaMm2 >/),
  inFile('findings/water.ts', /bound\.rule/),
  inFile('findings/faults.ts', /case 'never'|sharedFeed/),
  inFile('findings/flow.ts', /flows\.length/),
  inFile('findings/runs.ts', /floats\.some/),
  inFile('wiring/rating.ts', /./),
  inFile('water/well.ts', /high <= low|volume <= 0|volumeM3\(high\)|2 \* \(high|aftM/),
  inFile('water/section.ts', /depth <= lowest|half > 0|Infinity/),
  inFile('water/hose.ts', /at > 0|Math\.max|to > /),
  inFile('water/pumpCurve.ts', /./),
  inFile('water/pumpAtWork.ts', /^false$|turns\.length|dueS|timer|timerS|drainBackM3 > 0|counted/),
  inFile(
    'water/floatWindow.ts',
    /runOnM3 > 0|duringM3 > 0|narrows|evenFromM|topM|index === 0|one\.fromM|enough\(|maxM \?\?|HIGHEST_M|slackM3|fromM:|1e-3/,
  ),
  inFile('water/nextEvent.ts', /./),
  inFile('water/pumpPoint.ts', /./),
  inFile('water/hoseFlow.ts', /./),
  inFile('water/trace.ts', /./),
  inFile('water/rootGrid.ts', /./),
  inFile('water/drive.ts', /./),
  inFile('water/batteryAtWork.ts', /netA === 0/),
  inFile('water/modes.ts', /key|works|positions|blownAtS/),
  inFile('sizing/protection.ts', /shared-load|never|MAX_VALUE/),
  inFile('sizing/sizing.ts', /-1|guess|limitOf|ohmPerKm20C|size === smallest/),
];

/** Seen only where two rare things meet in one run; kept for safety, and no test sets that up. */
const twoRareThings = [
  inFile('sizing/protection.ts', /Math\.max/),
  inFile('water/simulate.ts', /./),
  inFile('water/cycles.ts', /./),
  inFile('water/modeKeeper.ts', /./),
  inFile('water/setUp.ts', /./),
  inFile('water/intervals.ts', /./),
  inFile('water/advance.ts', /./),
  inFile('water/friction.ts', /./),
  inFile('water/quadrature.ts', /./),
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
  { reason: 'Only the type checker asks: what this would catch never comes to this place', is: anyOf(guards) },
  { reason: 'A kept result or a short way: without it the same comes out, later', is: anyOf(shortWays) },
  {
    reason: 'How soon, or in how many pieces, a result is found, not which: that is held to its tolerance',
    is: anyOf(howSoon),
  },
  { reason: 'Both ways come to the same', is: anyOf(comesToTheSame) },
  { reason: 'Seen only where two rare things meet in one run, which no test sets up', is: anyOf(twoRareThings) },
];
