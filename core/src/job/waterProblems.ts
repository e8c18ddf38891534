import type { CircuitWater, IngressSurvey, WellSurvey } from './waterSchema';

interface Watered {
  readonly wells?: readonly WellSurvey[] | undefined;
  readonly ingress?: readonly IngressSurvey[] | undefined;
  readonly circuits: readonly { readonly water?: CircuitWater | undefined }[];
}

/** What names a well that the boat does not have. */
export function waterProblems({ wells = [], ingress = [], circuits }: Watered) {
  const known = new Set(wells.map(({ id }) => id));
  const missing = (id: string) => `No well has the id "${id}". Use the id of one of this boat’s wells.`;
  return [
    ...circuits.flatMap(({ water }, index) =>
      water && !known.has(water.wellId)
        ? [{ path: ['circuits', index, 'water', 'wellId'], message: missing(water.wellId) }]
        : [],
    ),
    ...ingress.flatMap(({ wellId }, index) =>
      wellId !== undefined && !known.has(wellId)
        ? [{ path: ['ingress', index, 'wellId'], message: missing(wellId) }]
        : [],
    ),
  ];
}
