import { z } from 'zod';
import {
  batteryChemistry,
  conductorSizes,
  dropSchools,
  protectionFamilies,
  pumpCatalogue,
  ruleSets,
} from '../reference';
import { freeText, jobFields } from './fields';
import { buildSchema, stepsSchema } from './buildSchema';
import { circuitProblems, repeatedIds } from './circuitProblems';
import { figuresSchema } from './figuresSchema';
import { id, oneOf, sizeName } from './ids';
import { MOST_PHOTOGRAPHS, photographSchema } from './photographSchema';
import { waterFields } from './waterFields';
import { circuitWaterSchema, ingressSchema, poseSchema, wellSchema } from './waterSchema';
import { waterProblems } from './waterProblems';
import { alarmSchema, panelSchema, relaySchema, rewiredSchema } from './wiringSchema';

/** The format's name and the newest version this build reads and writes. */
export const JOB_FORMAT = 'harbor-latch/job';
export const JOB_VERSION = 4;

const note = freeText(4000);

export const batterySchema = z.strictObject({
  id,
  name: jobFields.name,
  chemistry: oneOf(batteryChemistry, 'Battery chemistry').optional().describe('Default lead-acid.'),
  capacityAh: jobFields.capacityAh.optional().describe('Default 100 Ah.'),
  internalOhm: jobFields.internalOhm.optional().describe('Default by chemistry and capacity.'),
  stateOfCharge: jobFields.stateOfCharge.optional().describe('Default 1, full.'),
  chargeA: waterFields.chargeA.optional().describe('Trickle charge, on average. Default none.'),
  restV: jobFields.restV.optional().describe('Volts measured at rest; left out: by chemistry and state of charge.'),
  managementLimitA: jobFields.managementLimitA
    .optional()
    .describe('Current at which its own management cuts it off. Left out: none, or not known.'),
  seriesBank: z
    .strictObject({
      bankV: z
        .union([z.literal(24), z.literal(36), z.literal(48)], { error: 'A series bank has 24, 36 or 48 V.' })
        .describe('Volts of the whole bank.'),
      ownPoles: z
        .boolean()
        .optional()
        .describe('Whether both poles of its circuits are taken from this one battery. Left out: not known.'),
    })
    .optional()
    .describe('Where it is one battery of a series bank for a drive.'),
});

const surroundings = {
  insulationC: jobFields.insulationC.optional().describe('Insulation temperature rating, °C. Default 105.'),
  engineSpace: z.boolean().optional().describe('Whether it runs in an engine space. Default false.'),
  bundled: jobFields.bundled
    .optional()
    .describe('Current-carrying conductors in one tight bundle. Left out: no bundling factor.'),
};

/** A further piece of a leg, in other surroundings. */
export const runSchema = z.strictObject({
  lengthM: jobFields.lengthM.describe('One way, m.'),
  ...surroundings,
});

export const legSchema = z.strictObject({
  lengthM: jobFields.lengthM.optional().describe('One way, m. Needed before the circuit can be sized.'),
  slackM: jobFields.slackM.optional().describe('Slack and drip loop to add, m. Default 0.'),
  multicore: z.boolean().optional().describe('Whether its conductors run in one sheathed cable. Default false.'),
  unsheathedM: jobFields.slackM
    .optional()
    .describe('Of a multicore: the most that is outside its sheath, m. Default 0.'),
  ...surroundings,
  further: z
    .array(runSchema)
    .max(8, { error: 'A leg has at most eight further pieces.' })
    .optional()
    .describe('Further pieces of the same leg in other surroundings.'),
  guessed: z.boolean().optional().describe('True while its length is one typical of the hull’s, that nobody measured.'),
});

/** The cable to the bilge, in which the auto conductor may go another way. */
export const bilgeLegSchema = legSchema.extend({
  autoLengthM: jobFields.lengthM
    .optional()
    .describe('Of the auto conductor, one way, m, where it goes another way than manual. Default the same.'),
});

export const curvePointSchema = z.strictObject({
  flowLPerH: jobFields.curveFlowLPerH,
  headM: jobFields.headM,
  volts: jobFields.voltsV.optional().describe('Default the volts at which the open flow is given.'),
});

export const pumpSchema = z.strictObject({
  currentA: jobFields.currentA
    .optional()
    .describe('Label or measured amperes. Needed before the circuit can be sized.'),
  labelV: jobFields.voltsV.optional().describe('Volts at which the label gives its amperes. Default 12.'),
  openFlowLPerH: jobFields.openFlowLPerH.optional().describe('Flow at zero head.'),
  openFlowV: jobFields.voltsV.optional().describe('Volts at which the label gives its flow. Default 13.6.'),
  shutOffHeadM: jobFields.shutOffHeadM.optional().describe('Head at which the flow is nil, at the same volts.'),
  makerFuseA: jobFields.makerFuseA.optional().describe('Largest fuse the pump’s maker allows.'),
  windingOhm: jobFields.windingOhm.optional().describe('Default label volts ÷ (5 × label amperes).'),
  curve: z
    .array(curvePointSchema)
    .max(20, { error: 'At most twenty points of a curve.' })
    .optional()
    .describe('Points of the maker’s curve: flow at head at volts.'),
  thermalGuard: freeText(200)
    .min(1, { error: 'Write what the maker states, and where.' })
    .optional()
    .describe('What the maker states of a thermal guard inside the pump. Left out: none stated.'),
  leads: z
    .strictObject({ lengthM: jobFields.leadLengthM, size: sizeName })
    .optional()
    .describe('The pump’s own two leads, each way. Left out: not counted.'),
  catalogue: oneOf(pumpCatalogue, 'The pump class')
    .optional()
    .describe('Class of the generic catalogue the figures came from; replace them by the label’s.'),
});

export const choicesSchema = z.strictObject({
  rules: oneOf(ruleSets, 'The rule set').optional().describe('Default us.'),
  dropSchool: oneOf(dropSchools, 'The drop school').optional().describe('Default critical, 3 %.'),
  family: oneOf(conductorSizes, 'The cable family').optional().describe('Default awg.'),
  conductors: z.record(id, sizeName).optional().describe('Sizes chosen instead of the proposed ones, by conductor.'),
  protection: z
    .strictObject({
      kind: oneOf(protectionFamilies, 'The kind of protection').optional().describe('Default blade.'),
      ratingA: jobFields.ratingA.optional().describe('Default the proposed rating.'),
    })
    .optional(),
});

export const circuitSchema = z.strictObject({
  id,
  name: jobFields.name,
  scheme: z.string({ error: 'A scheme must be text.' }),
  batteryId: id,
  manual: z
    .enum(['latching', 'momentary'], { error: 'Manual is latching or momentary.' })
    .optional()
    .describe('Default latching.'),
  source: z
    .strictObject({
      stubLengthM: jobFields.stubLengthM.optional().describe('Battery to fuse along the conductor. Default 0.15 m.'),
      stubSheathed: z.boolean().optional().describe('Whether the stub is sheathed or enclosed. Default false.'),
      takenFrom: z
        .enum(['battery', 'bus'], { error: 'The feed is taken from the battery or from a bus.' })
        .optional()
        .describe('Default battery.'),
      feed: z
        .enum(['unswitched', 'isolator'], { error: 'The feed is unswitched or through the isolator.' })
        .optional()
        .describe('Default unswitched, ahead of the isolator.'),
      mainFuse: z
        .strictObject({ kind: oneOf(protectionFamilies, 'The kind of fuse'), ratingA: jobFields.ratingA })
        .optional()
        .describe('A high-interrupt fuse on the battery post, ahead of the circuit’s own.'),
    })
    .optional(),
  panel: panelSchema.optional(),
  relay: relaySchema.optional().describe('Of a scheme with a relay.'),
  alarm: alarmSchema.optional().describe('Of a scheme with an alarm.'),
  rewired: rewiredSchema.optional().describe('How the wiring found differs from the scheme.'),
  expects: z
    .record(z.string().max(200), z.enum(['runs', 'stands']))
    .optional()
    .describe('What the user expects of the pump, by setting of switches and floats.'),
  floatA: jobFields.contactA.optional().describe('Rating of the float’s contact on DC.'),
  floatLead: sizeName.optional().describe('Size of the float’s own leads. Left out: not known.'),
  figures: figuresSchema.optional().describe('Figures measured, or chosen, in place of the defaults.'),
  sharesFeedWith: id.optional().describe('Another circuit whose source, fuse and feed this one hangs on.'),
  legs: z.strictObject({ sourceToPanel: legSchema, panelToBilge: bilgeLegSchema, bilgeToNegative: legSchema }),
  pump: pumpSchema,
  choices: choicesSchema.optional(),
  water: circuitWaterSchema.optional().describe('Its pump, hose and float in a well.'),
  build: buildSchema.optional().describe('What is decided while it is built, and how it came out.'),
  steps: stepsSchema.optional().describe('Steps of building it that are done or left out.'),
  note: note.optional(),
});

export const boatSchema = z.strictObject({
  id: z.uuid({ error: 'The id of a boat is a UUID.' }),
  name: jobFields.name,
  hullLengthM: jobFields.hullLengthM.optional(),
  craft: freeText(200).optional().describe('What kind of craft, in the yard’s words.'),
  owner: freeText(200).optional(),
  berth: freeText(200).optional(),
  kept: z
    .enum(['afloat', 'ashore'], { error: 'A boat is kept afloat or ashore.' })
    .optional()
    .describe('Where she lies while nobody is aboard. Default afloat.'),
  leftAloneDays: jobFields.leftAloneDays
    .optional()
    .describe('The longest she is left alone, days. Default 14 afloat, 3 ashore.'),
  afloatIn: z.enum(['sea', 'fresh'], { error: 'Afloat in sea or fresh water.' }).optional().describe('Default sea.'),
  petrol: z.boolean().optional().describe('Petrol or gas on board. Default false.'),
  archived: z.boolean().optional().describe('Put away: not shown in the yard unless asked for.'),
  note: note.optional(),
});

const shape = z
  .strictObject({
    format: z.literal(JOB_FORMAT, { error: `The format must be "${JOB_FORMAT}".` }),
    version: z.literal(JOB_VERSION, { error: `The version must be ${JOB_VERSION}.` }),
    boat: boatSchema,
    batteries: z.array(batterySchema).min(1, { error: 'A boat needs at least one battery.' }).max(20),
    wells: z.array(wellSchema).max(20, { error: 'A boat has at most twenty wells.' }).optional(),
    poses: z
      .array(poseSchema)
      .max(200, { error: 'At most two hundred poses.' })
      .optional()
      .describe('Left out: at rest, level.'),
    ingress: z.array(ingressSchema).max(50, { error: 'At most fifty ways of taking in water.' }).optional(),
    circuits: z.array(circuitSchema).max(50, { error: 'A boat has at most 50 circuits.' }),
    photographs: z
      .array(photographSchema)
      .max(MOST_PHOTOGRAPHS, { error: `At most ${MOST_PHOTOGRAPHS} photographs of a boat.` })
      .optional()
      .describe('Photographs of the boat and of her circuits.'),
  })
  .superRefine((job, context) => {
    for (const { path, message } of problemsAcross(job)) context.addIssue({ code: 'custom', path: [...path], message });
  });

/** What is wrong with a job whose parts are right each by itself: where one part does not fit another. */
export function problemsAcross(job: z.infer<typeof shape>) {
  return [...repeatedIds(job), ...waterProblems(job), ...circuitProblems(job)];
}

/**
 * The definition of the job file, whose circuits are wired by one of the given schemes.
 * @param schemeKeys the keys of every scheme there is
 */
export function jobSchemaWith(schemeKeys: readonly string[]) {
  const scheme = z.enum([...schemeKeys], { error: `The scheme must be one of: ${schemeKeys.join(', ')}.` });
  return shape.safeExtend({
    circuits: z.array(circuitSchema.extend({ scheme })).max(50, { error: 'A boat has at most 50 circuits.' }),
  });
}

// TYPES

export type Job = z.infer<typeof shape>;
export type Boat = z.infer<typeof boatSchema>;
export type Battery = z.infer<typeof batterySchema>;
export type Circuit = z.infer<typeof circuitSchema>;
export type Leg = z.infer<typeof legSchema>;
export type BilgeLeg = z.infer<typeof bilgeLegSchema>;
export type Run = z.infer<typeof runSchema>;
export type Pump = z.infer<typeof pumpSchema>;
export type Choices = z.infer<typeof choicesSchema>;
