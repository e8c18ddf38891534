/** Amounts that differ by less than this share count as equal, so that 125 % of 8 A is met by 10 A and a limit reached is kept. */
export const SLACK = 1 + 1e-9;
