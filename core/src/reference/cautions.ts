/** Cautions shown wherever the work they speak of is in front of the user. */
export const cautions = {
  proveDead:
    'This feed is taken ahead of the battery isolator. Turning the isolator off does not make it dead: pull the fuse and prove dead before you work.',
  autoStart: 'On auto a pump can start at any moment, also when two bare ends touch. Keep hands clear of the impeller.',
  batteryBurns: 'A battery delivers enough current to burn. Take off rings and watch; disconnect the negative first.',
  fuelVapour: 'Petrol or gas vapour gathers in the bilge: ventilate first, no sparks, no flame on heat-shrink.',
  shorePower:
    'Shore power in the same space is lethal and is not part of this job. Have it isolated by someone licensed for it.',
  localRules:
    'These figures do not replace the boat’s rules, the insurer or a licensed marine electrician. Check the edition in force where you work.',
} as const;

export type CautionKey = keyof typeof cautions;
