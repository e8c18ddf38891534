import { z } from 'zod';
import { coilSuppressorKeys, defaults, protectionFamilies } from '../reference';
import { freeText, jobFields } from './fields';
import { id, oneOf } from './ids';

const terminalText = z.string({ error: 'A terminal must be text.' }).regex(/^[A-Za-z0-9-]{1,80}\.[A-Za-z0-9-]{1,80}$/, {
  error: 'A terminal is written as part.terminal, like "switch.auto".',
});

/** The light of a panel. */
const light = z.enum(['none', 'led', 'filament'], { error: 'A light is none, led or filament.' });

/** Names printed on the panel, by terminal; no two the same, or nobody knows which post is meant. */
const postsSchema = z
  .record(terminalText, freeText(20).min(1, { error: 'Write what is printed at the post.' }))
  .superRefine((posts, context) => {
    const seen = new Map<string, string>();
    for (const [terminal, printed] of Object.entries(posts)) {
      const name = printed.trim().toLowerCase();
      const other = seen.get(name);
      if (other !== undefined) {
        context.addIssue({
          code: 'custom',
          path: [terminal],
          message: `“${printed}” is the name of both ${other} and ${terminal}. Give each post its own name, as printed on the panel.`,
        });
      }
      seen.set(name, terminal);
    }
  });

/** Positions of a switch as its face names them, in which its posts are tried. */
export const leverPositions = ['manual', 'off', 'auto'] as const;

/** What an ohmmeter says between two posts: near nothing, as of a lamp, or nothing at all. */
export const continuities = ['beeps', 'some', 'none'] as const;

const share = (what: string) =>
  z
    .number({ error: `${what} must be a number.` })
    .min(0, { error: `${what} is 0 to 1.` })
    .max(1, { error: `${what} is 0 to 1.` });

const spotKey = z.string().regex(/^p[1-9]$/, { error: 'A spot of the outline is p1 to p9.' });

/** A simple outline of the panel’s back, or a photograph of it, with its posts as spots. */
const outlineSchema = z.strictObject({
  photographId: id.optional().describe('The photograph that the spots lie on. Left out: a plain outline.'),
  spots: z
    .record(
      spotKey,
      z.strictObject({
        x: share('The place from left to right'),
        y: share('The place from top to bottom'),
        printed: freeText(20).optional().describe('What is printed beside it. Left out: nothing.'),
        post: terminalText.optional().describe('Which terminal it is. Left out: not known yet.'),
      }),
    )
    .optional(),
  readings: z
    .record(
      z.string().regex(/^p[1-9](\+p[1-9])*-p[1-9](\+p[1-9])*-(manual|off|auto)$/, {
        error: 'A reading is named by spots on both sides and a lever position, like p1-p2-manual or p1+p3-p2-auto.',
      }),
      z.strictObject({
        reads: z.enum(continuities, { error: 'A reading is beeps, some or none.' }),
        at: z.iso.datetime({ error: 'A time is written like 2026-05-01T09:30:00Z.' }).describe('When it was read.'),
      }),
    )
    .optional()
    .describe('What an ohmmeter said between two spots, the fuse out and the light’s negative off.'),
});

export const rewiredSchema = z.strictObject({
  removed: z.array(id).max(60).optional().describe('Conductors of the plan that are not there.'),
  moved: z
    .record(id, z.strictObject({ from: terminalText.optional(), to: terminalText.optional() }))
    .optional()
    .describe('Ends of conductors that sit on another terminal.'),
  added: z
    .array(z.strictObject({ id, from: terminalText, to: terminalText }))
    .max(20, { error: 'At most twenty added conductors.' })
    .optional()
    .describe('Conductors that the plan does not have.'),
});

export const panelSchema = z.strictObject({
  switchA: jobFields.contactA.optional().describe('Rating of the switch’s contacts on DC.'),
  fuse: z
    .strictObject({ kind: oneOf(protectionFamilies, 'The kind of fuse'), ratingA: jobFields.ratingA })
    .optional()
    .describe('Fuse or breaker built into the panel, between feed and switch.'),
  light: light.optional().describe('Running light. Default none.'),
  lightWired: z
    .enum(['to-negative', 'auto-to-manual'], {
      error: 'The running light is wired to-negative or auto-to-manual.',
    })
    .optional()
    .describe('From the manual post to negative (default), or from the auto post to the manual post.'),
  armedLight: light.optional().describe('Light that says auto is selected, from the auto post. Default none.'),
  legFuses: z
    .strictObject({
      kind: oneOf(protectionFamilies, 'The kind of fuse'),
      manualA: jobFields.ratingA,
      autoA: jobFields.ratingA,
    })
    .optional()
    .describe('Manual and auto legs fused apart, as found on some boats.'),
  manualBreaksAuto: z
    .boolean()
    .optional()
    .describe('Of an always-live auto leg: whether the manual switch breaks it while it is on. Default false.'),
  posts: postsSchema.optional().describe('What is printed at the posts, by terminal: {"switch.auto": "3"}.'),
  outline: outlineSchema
    .optional()
    .describe('Where the posts sit on the panel’s back, and what was read between them.'),
  tapFuseA: jobFields.ratingA.optional().describe('The light tap’s own fuse. Left out: none.'),
  tapAccepted: z.boolean().optional().describe('A short, well-placed tap without a fuse was decided on.'),
});

export const relaySchema = z
  .strictObject({
    contactA: jobFields.contactA.optional().describe('Rating of its contact on DC. Default 30 A.'),
    coilOhm: jobFields.coilOhm.optional().describe('Default 90 Ω.'),
    pullInV: jobFields.coilV.optional().describe('Default 7.2 V.'),
    dropOutV: jobFields.coilV.optional().describe('Default 1.2 V.'),
    suppression: z
      .enum(coilSuppressorKeys, { error: `Across the coil lies one of: ${coilSuppressorKeys.join(', ')}.` })
      .optional()
      .describe('Default diode.'),
    coilFuseA: jobFields.ratingA.optional().describe('Default 1 A.'),
  })
  .refine(({ pullInV = defaults.relayPullInV, dropOutV = defaults.relayDropOutV }) => dropOutV < pullInV, {
    error: 'A relay lets go at fewer volts than it pulls in at. Check both figures.',
    path: ['dropOutV'],
  });

export const alarmSchema = z.strictObject({
  alsoFrom: id.optional().describe('Another circuit whose pump sounds the alarm as well.'),
  diodes: z.boolean().optional().describe('A diode in each feed of the alarm. Default true.'),
  ownV: jobFields.alarmV.optional().describe('Volts of an alarm’s own battery. Default 9 V.'),
});

export type PanelOutline = z.infer<typeof outlineSchema>;
export type LeverPosition = (typeof leverPositions)[number];
export type Continuity = (typeof continuities)[number];
