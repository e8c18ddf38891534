import { assess, type AssessedAlarm, type AssessedPump } from '../assess';
import type { Job } from '../job';
import { colourInWords } from '../schemes';
import { buildList, pieces, type BuildList } from './buildList';
import { cutFromStock, type Cutting, type CutPiece, type Drum } from './cutting';

const inMm = (metres: number | null) => (metres === null ? null : Number((metres * 1000).toFixed(3)));

/** What building a circuit takes, in the form of the headless command; lengths in m, what is small in mm. */
export function buildReport(list: BuildList) {
  return {
    conductors: list.conductors.map(
      ({ id, name, size, colour, band, insulationC, leg, from, to, netM, slackM, cutM, pulledM, cable, labels }) => ({
        id,
        name,
        size,
        colour: colourInWords(colour),
        band: band ? colourInWords(band) : null,
        insulationC,
        leg,
        from: { part: from.part, terminal: from.terminal, post: from.post },
        to: { part: to.part, terminal: to.terminal, post: to.post },
        netM,
        slackM,
        cutM,
        pulledM,
        cable,
        labels,
      }),
    ),
    spares: list.spares,
    joints: list.joints.map(
      ({
        id,
        name,
        band,
        conductors,
        school,
        how,
        because,
        barrel,
        sides,
        areaMm2,
        stripM,
        sleeve,
        sealant,
        pullN,
        tugN,
        overWaterM,
        minutes,
      }) => ({
        id,
        name,
        band,
        conductors: conductors.map((one) => one.id),
        assumed: conductors.filter(({ assumed }) => assumed).map((one) => one.id),
        school,
        how,
        because,
        barrel: barrel?.colour ?? null,
        sides,
        areaMm2,
        stripMm: inMm(stripM),
        sleeveMm: sleeve ? { diameter: inMm(sleeve.diameterM), length: inMm(sleeve.lengthM) } : null,
        sealant,
        pullN,
        tugN,
        heightOverWaterM: overWaterM,
        minutes,
      }),
    ),
    labels: list.labels,
    parts: list.parts,
    tools: list.tools,
    cutOuts: list.cutOuts,
    steps: list.steps,
    order: list.order,
    problems: list.problems,
    differences: list.differences,
  };
}

/** A circuit that can be built: one that is sized. */
export function buildable(job: Job, circuitId: string): AssessedPump | AssessedAlarm | null {
  const one = assess(job).find(({ circuit }) => circuit.id === circuitId);
  return !one || one.status === 'incomplete' ? null : one;
}

/** Every length that a boat's sized circuits are cut to, named by circuit and conductor. */
export function piecesOf(job: Job): CutPiece[] {
  return assess(job).flatMap((one): CutPiece[] => {
    if (one.status === 'incomplete') return [];
    const { conductors, spares } = buildList(job, one);
    return pieces(conductors, spares).map(({ id, size, colour, cutM, insulationC }) => ({
      conductor: `${one.circuit.id}/${id}`,
      size,
      colour,
      insulationC,
      metres: cutM,
    }));
  });
}

/** What a boat's circuits are cut from. */
export function cutReport(job: Job, drums: readonly Drum[]): Cutting {
  return cutFromStock(piecesOf(job), drums);
}
