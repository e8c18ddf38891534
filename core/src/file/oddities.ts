/** Places of a parsed JSON text that no store keeps as they are, and the data with the harmless ones put right. */
export interface Oddities {
  /** Keys that cannot be kept, with the path of what holds them. */
  readonly keys: readonly { readonly holder: readonly (string | number)[]; readonly key: string }[];
  /** The data with 0 in place of −0, which is the same number and is stored as it. */
  readonly data: object;
}

/** So many odd keys are told of; more say nothing new. */
const MOST = 20;

/** NUL, which PostgreSQL keeps in no text. */
const NUL = '\u0000';
/** Half of a pair of UTF-16, which is no character. */
const LONE_SURROGATE = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;

function isOdd(key: string): boolean {
  return key === '__proto__' || key.includes(NUL) || LONE_SURROGATE.test(key);
}

interface Open {
  readonly from: object;
  readonly to: Record<string, unknown> | unknown[];
  /** What holds it, and under what; a path is made of these only where one is told. */
  readonly within: Open | null;
  readonly step: string | number;
}

function pathOf(one: Open): (string | number)[] {
  const path: (string | number)[] = [];
  for (let at: Open | null = one; at?.within; at = at.within) path.unshift(at.step);
  return path;
}

/** Goes through parsed JSON without recursion: what is nested deeply cannot overflow the stack. */
export function oddities(data: object): Oddities {
  const keys: { holder: readonly (string | number)[]; key: string }[] = [];
  const root: Open = { from: data, to: Array.isArray(data) ? [] : {}, within: null, step: '' };
  const open = [root];
  const copied = (value: unknown, within: Open, step: string | number): unknown => {
    if (Object.is(value, -0)) return 0;
    if (typeof value !== 'object' || value === null) return value;
    const to = Array.isArray(value) ? [] : {};
    open.push({ from: value, to, within, step });
    return to;
  };
  for (let one = open.pop(); one; one = open.pop()) {
    const { from, to } = one;
    if (Array.isArray(from) && Array.isArray(to)) {
      for (const [index, value] of from.entries()) to.push(copied(value, one, index));
      continue;
    }
    for (const [key, value] of Object.entries(from)) {
      if (!isOdd(key)) (to as Record<string, unknown>)[key] = copied(value, one, key);
      else if (keys.length < MOST) keys.push({ holder: pathOf(one), key });
    }
  }
  return { keys, data: root.to };
}

/** What is said of an odd key. */
export function oddKeyMessage(key: string): string {
  return key === '__proto__'
    ? 'Unknown key "__proto__". Remove it.'
    : 'A key holds a character that cannot be stored (NUL, or half of a pair). Write it again.';
}
