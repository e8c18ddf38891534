import { fittedSensors } from '../reference';
import { z } from 'zod';
import { waterFields as fields } from './waterFields';
import { jobFields } from './fields';
import { id } from './ids';

const guessed = z.boolean().optional().describe('True while its figures are typical ones that nobody measured.');

/** An attitude of the boat. */
export const poseSchema = z.strictObject({
  id,
  name: jobFields.name,
  trimDeg: fields.trimDeg.describe('Bow down is positive, degrees.'),
  heelDeg: fields.heelDeg.describe('Starboard down is positive, degrees.'),
  outsideM: fields.heightM.optional().describe('Height of the water outside over the pump’s base.'),
  guessed,
});

const tableRow = z.strictObject({ heightM: fields.depthM, areaM2: fields.sectionAreaM2 });

const sectionSchema = z
  .discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('box'), widthM: fields.widthM }),
    z.strictObject({ kind: z.literal('v'), deadriseDeg: fields.deadriseDeg, widthM: fields.widthM }),
    z.strictObject({ kind: z.literal('round'), radiusM: fields.widthM }),
    z.strictObject({
      kind: z.literal('table'),
      rows: z
        .array(tableRow)
        .min(2, { error: 'A table takes at least two heights.' })
        .max(40, { error: 'A table has at most forty heights.' }),
    }),
  ])
  .superRefine((section, context) => {
    if (section.kind !== 'table') return;
    section.rows.forEach(({ heightM, areaM2 }, at) => {
      const before = section.rows[at - 1];
      if (!before) return;
      if (heightM <= before.heightM)
        context.addIssue({
          code: 'custom',
          path: ['rows', at, 'heightM'],
          message: 'Each height lies above the one before it. Order them from the bottom upwards.',
        });
      if (areaM2 <= before.areaM2)
        context.addIssue({
          code: 'custom',
          path: ['rows', at, 'areaM2'],
          message:
            'The area below a height grows with the height. This one does not: measure again, or leave the row out.',
        });
    });
  });

const limitKinds = ['joint', 'battery', 'floor', 'engine-pan', 'gland', 'other'] as const;

/** Where water gathers. Heights are over the pump's base, x forward of it and y to starboard. */
export const wellSchema = z
  .strictObject({
    id,
    name: jobFields.name,
    aftM: fields.placeM.describe('Its aft end, m forward of the pump; mostly below 0.'),
    foreM: fields.placeM.describe('Its fore end, m forward of the pump.'),
    centreYM: fields.placeM.optional().describe('Its middle, m to starboard of the pump. Default 0.'),
    floorM: fields.heightM.optional().describe('Its lowest point at the pump, over the pump’s base. Default 0.'),
    slopeDeg: fields.slopeDeg.optional().describe('Its floor rises forward by this. Default 0.'),
    section: sectionSchema,
    members: z
      .array(
        z.strictObject({
          id,
          name: jobFields.name.optional(),
          xM: fields.placeM,
          limberHoles: z.boolean({ error: 'Say whether water passes.' }),
        }),
      )
      .max(20)
      .optional()
      .describe('Members across it.'),
    limits: z
      .array(
        z.strictObject({
          id,
          name: jobFields.name,
          kind: z.enum(limitKinds, { error: `One of: ${limitKinds.join(', ')}.` }).optional(),
          xM: fields.placeM.optional().describe('Default at the pump.'),
          yM: fields.placeM.optional(),
          zM: fields.heightM,
        }),
      )
      .max(20)
      .optional()
      .describe('What stands in it and must stay dry.'),
    topM: fields.heightM
      .optional()
      .describe('Where it spills over into the rest of the boat. Default 0.3 m above the highest thing in it.'),
    guessed,
  })
  .superRefine((well, context) => {
    if (well.foreM <= well.aftM)
      context.addIssue({
        code: 'custom',
        path: ['foreM'],
        message: 'A well has a length: its fore end lies forward of its aft end.',
      });
    else if (well.aftM > 0 || well.foreM < 0)
      context.addIssue({
        code: 'custom',
        path: ['aftM'],
        message:
          'The pump stands in its well: the aft end lies at or behind it (0 or less), the fore end at or before it.',
      });
  });

/** One way in which water comes in. */
const sourceSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('steady'), flowLPerH: fields.ingressLPerH }),
  z.strictObject({ kind: z.literal('rain'), areaM2: fields.rainAreaM2, rateMmPerH: fields.rainMmPerH }),
  z.strictObject({
    kind: z.literal('drip'),
    perMinute: fields.drips,
    dropML: fields.dropML.optional().describe('Default 0.05 mL.'),
  }),
  z.strictObject({
    kind: z.literal('opening'),
    diameterM: fields.holeM,
    heightM: fields.heightM.describe('Over the pump’s base.'),
    xM: fields.placeM.optional().describe('Forward of the pump. Default 0.'),
    yM: fields.placeM.optional().describe('To starboard of the pump. Default 0.'),
    outsideM: fields.heightM.optional().describe('Water outside over the pump’s base, where the pose does not say.'),
  }),
  z.strictObject({
    kind: z.literal('script'),
    steps: z
      .array(z.strictObject({ fromS: fields.timeS, flowLPerH: fields.ingressLPerH }))
      .min(1, { error: 'A script has at least one step.' })
      .max(200)
      .superRefine((steps, context) =>
        steps.forEach(({ fromS }, at) => {
          if (at > 0 && fromS <= (steps[at - 1]?.fromS ?? -1))
            context.addIssue({
              code: 'custom',
              path: [at, 'fromS'],
              message: 'Each step begins after the one before it.',
            });
        }),
      ),
  }),
]);

export const ingressSchema = z.strictObject({
  id,
  name: jobFields.name,
  wellId: id.optional().describe('Left out: into every well.'),
  sources: z.array(sourceSchema).min(1, { error: 'Say how water comes in.' }).max(10),
  guessed,
});

export const hoseSchema = z
  .strictObject({
    boreM: fields.boreM,
    wall: z
      .enum(['smooth', 'corrugated'], { error: 'A wall is smooth or corrugated.' })
      .optional()
      .describe('Default smooth.'),
    route: z
      .array(
        z.strictObject({
          alongM: fields.alongM,
          heightM: fields.heightM.describe('Over the pump’s base.'),
          xM: fields.placeM.optional().describe('Forward of the pump. Default 0.'),
          yM: fields.placeM.optional().describe('To starboard of the pump. Default 0.'),
        }),
      )
      .min(2, { error: 'A hose goes from the pump to its outlet: at least two points.' })
      .max(40),
    bends90: fields.bends.optional(),
    bends45: fields.bends.optional(),
    checkValve: z.boolean().optional().describe('Default none.'),
    skinFitting: z.boolean().optional().describe('Default true.'),
    ventedLoop: z.boolean().optional().describe('Whether a vented loop breaks the siphon. Default false.'),
    ventedLoopM: fields.heightM
      .optional()
      .describe(
        'Height of the vented loop’s top over the pump’s base, above the hose’s highest point. Left out: not known.',
      ),
    guessed,
  })
  .superRefine(({ route }, context) =>
    route.forEach((point, at) => {
      const before = route[at - 1];
      if (!before) return;
      const climb = Math.abs(point.heightM - before.heightM);
      if (point.alongM <= before.alongM)
        context.addIssue({
          code: 'custom',
          path: ['route', at, 'alongM'],
          message: 'Each point lies further along the hose than the one before it.',
        });
      else if (climb > point.alongM - before.alongM + 1e-6)
        context.addIssue({
          code: 'custom',
          path: ['route', at, 'heightM'],
          message: 'It rises or falls by more than the hose is long there. Measure along the hose, and straight up.',
        });
    }),
  );

export const floatPlaceSchema = z
  .strictObject({
    kind: z
      .enum(fittedSensors, { error: `One of: ${fittedSensors.join(', ')}.` })
      .optional()
      .describe('Default by scheme.'),
    xM: fields.placeM.optional().describe('Forward of the pump. Default 0.'),
    yM: fields.placeM.optional().describe('To starboard of the pump. Default 0.'),
    zM: fields.heightM.optional().describe('Its base over the pump’s. Default 0.'),
    onM: fields.tripM.optional().describe('Water over its base at which it switches on. Default by kind.'),
    offM: fields.tripM.optional().describe('And off.'),
    onDelayS: fields.delayS.optional(),
    runOnS: fields.delayS.optional(),
    periodS: fields.delayS.optional().describe('Of a pump that wakes on a timer. Default 180 s.'),
    feelS: fields.delayS.optional().describe('Default 1 s.'),
  })
  .superRefine(({ onM, offM }, context) => {
    if (onM !== undefined && offM !== undefined && onM <= offM)
      context.addIssue({
        code: 'custom',
        path: ['onM'],
        message: 'A float switches on higher than it switches off. Measure both over its base.',
      });
  });

/** A circuit's pump, hose and float in a well. */
export const circuitWaterSchema = z.strictObject({
  wellId: id,
  pumpAt: z
    .strictObject({ xM: fields.placeM, yM: fields.placeM, zM: fields.heightM })
    .optional()
    .describe('Where this pump stands, over the well’s own zero. Default there.'),
  portM: fields.boreM.optional().describe('Bore of the pump’s own outlet.'),
  hose: hoseSchema.optional(),
  float: floatPlaceSchema.optional(),
});

// TYPES

export type Pose = z.infer<typeof poseSchema>;
export type WellSurvey = z.infer<typeof wellSchema>;
export type IngressSurvey = z.infer<typeof ingressSchema>;
export type IngressSource = z.infer<typeof sourceSchema>;
export type HoseSurvey = z.infer<typeof hoseSchema>;
export type FloatPlace = z.infer<typeof floatPlaceSchema>;
export type CircuitWater = z.infer<typeof circuitWaterSchema>;
