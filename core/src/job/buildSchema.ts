import { z } from 'zod';
import { jointSchools, sealants } from '../reference';
import { freeText, jobFields } from './fields';
import { id, oneOf } from './ids';

const metres = (what: string, most: number) =>
  z
    .number({ error: `${what} must be a number, in m.` })
    .min(0, { error: `${what} is 0 m or more.` })
    .max(most, { error: `${what} above ${most} m is not of a bilge-pump circuit.` });

const count = (what: string, most: number) =>
  z
    .number({ error: `${what} must be a number.` })
    .int({ error: `${what} is a whole number.` })
    .min(0, { error: `${what} is 0 or more.` })
    .max(most, { error: `More than ${most} is not of a bilge-pump circuit.` });

/** Colours that insulation comes in. */
export const insulationColours = [
  'red',
  'brown',
  'black',
  'yellow',
  'blue',
  'green',
  'white',
  'orange',
  'purple',
  'grey',
  'pink',
] as const;

const colour = z.enum(insulationColours, { error: `Insulation is one of: ${insulationColours.join(', ')}.` });

const cableColour = z.strictObject({
  base: colour,
  stripe: colour.optional(),
  banded: z.boolean().optional().describe('Banded with tape of the planned colour at both ends. Default false.'),
});

/** How a leg is pulled. */
const pullSchema = z.strictObject({
  bends: count('The number of bends', 40).optional().describe('Left out: not known.'),
  sealedSpace: z.boolean().optional().describe('Whether it passes a space that is closed for good. Default false.'),
  bulkheads: count('The number of bulkheads', 20).optional().describe('Default 0.'),
  spareCore: z.boolean().optional().describe('Whether a spare core is pulled with it. Left out: not decided.'),
});

/** Slack in place of the defaults, m. */
const slackSchema = z.strictObject({
  panelEndM: metres('Slack at the panel', 5).optional(),
  benchM: metres('Slack up to bench or deck', 10).optional(),
  dripLoopM: metres('A drip loop', 2).optional(),
  jointM: metres('Slack for a joint', 1).optional(),
  remakeM: metres('Slack for a remake', 2).optional(),
});

/** The hole for the outlet’s skin fitting. */
const outletSchema = z.strictObject({
  threadM: metres('The thread', 0.2).optional().describe('Measured across the thread.'),
  holeM: metres('The hole', 0.3).optional().describe('As drilled. Left out: by the thread.'),
  flangeM: metres('The flange', 0.4).optional().describe('Measured across.'),
  sealant: oneOf(sealants, 'The sealant').optional().describe('Default polyurethane.'),
  cored: z.boolean().optional().describe('Whether the hull is cored there. Default false.'),
});

/** The hole for the panel, and what is around it. */
const cutOutSchema = z.strictObject({
  widthM: metres('The width', 1).optional(),
  heightM: metres('The height', 1).optional(),
  cornerM: metres('The corner’s radius', 0.05).optional(),
  depthM: metres('The depth', 0.5).optional().describe('Behind the face, with its terminals.'),
  roomM: metres('The room behind', 2).optional(),
  edgeM: metres('The way to the nearest edge', 2).optional(),
});

/** What is decided while a circuit is built, and how it came out: it is judged as it was built. */
export const buildSchema = z.strictObject({
  school: oneOf(jointSchools, 'The way of joining').optional().describe('Of all its joints. Default crimp.'),
  joints: z
    .record(id, z.strictObject({ school: oneOf(jointSchools, 'The way of joining').optional() }))
    .optional()
    .describe('Joints made otherwise than the rest, by part.'),
  colours: z.record(id, cableColour).optional().describe('Insulation of another colour than planned, by conductor.'),
  pulledM: z.record(id, jobFields.lengthM).optional().describe('Length from end to end as pulled, m, by conductor.'),
  pulls: z
    .strictObject({
      sourceToPanel: pullSchema.optional(),
      panelToBilge: pullSchema.optional(),
      bilgeToNegative: pullSchema.optional(),
    })
    .optional()
    .describe('How each leg is pulled.'),
  slack: slackSchema.optional(),
  disconnects: z
    .strictObject({ pump: z.boolean().optional(), float: z.boolean().optional() })
    .optional()
    .describe('A waterproof disconnect near the pump, and near the float. Default none.'),
  temperatureC: z
    .number({ error: 'The temperature must be a number, in °C.' })
    .min(-5, { error: 'Below −5 °C nothing cures.' })
    .max(40, { error: 'Above 40 °C read the tube.' })
    .optional()
    .describe('Where sealant and epoxy cure, °C. Default 20.'),
  aboard: z
    .record(
      z.string().regex(/^[\p{L}\p{N} .,/-]{1,80}$/u, { error: 'A part is named as the list of parts names it.' }),
      z.literal(true),
    )
    .optional()
    .describe('Parts of the list that are on board or in the van already.'),
  labelCode: freeText(12).optional().describe('Of its labels. Default the first letters of its name.'),
  outlet: outletSchema.optional(),
  cutOut: cutOutSchema.optional(),
});

export const stepKey = z
  .string()
  .regex(/^[a-z0-9-]{1,80}$/, { error: 'A step has small letters, digits and hyphens.' });

/** Steps that are done or left out, by step; they judge nothing. */
export const stepsSchema = z.record(
  stepKey,
  z.strictObject({
    at: z.iso.datetime({ error: 'A time is written like 2026-05-01T09:30:00Z.' }),
    by: freeText(200).optional(),
    skipped: freeText(400).optional().describe('Why it was left out. Left out: it was done.'),
  }),
);

export type Build = z.infer<typeof buildSchema>;
export type CableColour = z.infer<typeof cableColour>;
export type InsulationColour = (typeof insulationColours)[number];
export type Pull = z.infer<typeof pullSchema>;
export type StepMarks = z.infer<typeof stepsSchema>;
