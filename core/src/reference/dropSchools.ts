/** The two schools of voltage drop for a bilge pump. */
export const dropSchools = {
  critical: {
    name: '3 % school',
    percent: 3,
    reason: 'Treats the pump as critical: flow falls with motor speed, and against a head it falls faster.',
    source: 'ABYC E-11 voltage-drop limit for critical circuits',
  },
  general: {
    name: '10 % school',
    percent: 10,
    reason: 'The general limit for circuits that may run slower without harm.',
    source: 'ABYC E-11 and ISO 13297 general voltage-drop limit',
  },
} as const;

export type DropSchool = keyof typeof dropSchools;
