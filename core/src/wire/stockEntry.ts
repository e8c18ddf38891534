import { z } from 'zod';
import { freeText } from '../job/fields';
import { id, sizeName } from '../job/ids';

const metres = z
  .number({ error: 'Metres must be a number.' })
  .min(0, { error: 'Metres are 0 or more.' })
  .max(1000, { error: 'A drum over 1000 m is not of this trade.' });

const money = z
  .number({ error: 'A price must be a number.' })
  .min(0, { error: 'A price is 0 or more.' })
  .max(100_000, { error: 'A price over 100 000 is not of this trade.' });

const itemName = freeText(120).min(1, { error: 'Say what it is.' });

/** What a cut was for. */
const cutFor = z.strictObject({
  boatId: z.uuid({ error: 'The id of a boat is a UUID.' }),
  circuitId: id,
  /** A conductor, a cable or a spare of the circuit's cut list. */
  piece: z.string().min(1).max(80),
  /** Boat and conductor in words, as they were called then. */
  words: freeText(300),
});

/**
 * What happened in the yard, beside its boats: to its stock, and what its people practised. Nothing is ever changed: what was
 * wrong is taken back by another entry.
 */
export const stockChangeSchema = z.discriminatedUnion('kind', [
  z
    .strictObject({
      kind: z.literal('drum'),
      drum: id,
      size: sizeName,
      colour: freeText(60).min(1, { error: 'Say its colour.' }).describe('In words: brown with white stripe.'),
      insulationC: z
        .number({ error: 'The insulation rating must be a number, in °C.' })
        .min(60, { error: 'Insulation is for 60 °C or more.' })
        .max(200, { error: 'Insulation is for 200 °C at most.' }),
      metres: metres.describe('As counted or bought: from here cuts are taken off.'),
      opened: z.iso.date({ error: 'A day is written like 2026-05-01.' }).nullable().describe('Null while it is whole.'),
      place: freeText(60).optional().describe('Where it lies: van, store, shelf.'),
    })
    .describe('A drum or an offcut, as it was counted.'),
  z
    .strictObject({
      kind: z.literal('cut'),
      drum: id,
      metres: z
        .number({ error: 'Metres must be a number.' })
        .gt(0, { error: 'A cut is longer than nothing.' })
        .max(1000, { error: 'A cut over 1000 m is not of this trade.' }),
      for: cutFor.nullable().describe('Null for a cut that is for no circuit.'),
    })
    .describe('A length cut from a drum.'),
  z.strictObject({ kind: z.literal('gone'), drum: id }).describe('A drum that is no more.'),
  z
    .strictObject({
      kind: z.literal('part'),
      item: itemName.describe('As the list of parts names it.'),
      quantity: z.number({ error: 'A number is wanted.' }).min(0).max(100_000),
      unit: z.enum(['piece', 'm', 'set']),
    })
    .describe('So many of a part in the van or on the shelf, as counted.'),
  z
    .strictObject({ kind: z.literal('price'), item: itemName, each: money.nullable().describe('Null: no price.') })
    .describe('What one of a part, or a metre, costs.'),
  z
    .strictObject({ kind: z.literal('labour'), perHour: money.nullable().describe('Null: no rate.') })
    .describe('What an hour of work costs.'),
  z
    .strictObject({
      kind: z.literal('practised'),
      seed: z
        .int({ error: 'The number of a drill is whole.' })
        .min(0)
        .max(2 ** 31),
      level: z.int().min(1).max(9),
      score: z.number({ error: 'A score is a number.' }).min(0).max(100),
      minutes: z.number().min(0).max(100_000),
      fault: freeText(300).describe('What was hidden, in words.'),
      group: freeText(80).describe('The kind of fault it was, in words.'),
      named: z.enum(['right', 'right group', 'wrong']),
    })
    .describe('A drill that somebody played to its end.'),
  z.strictObject({ kind: z.literal('undone'), entry: z.uuid() }).describe('An earlier entry that is taken back.'),
]);

/** One entry of a yard's stock, made on a device; its id is a UUIDv7, by which entries are put in order. */
export const stockEntrySchema = z.strictObject({
  id: z.uuid({ error: 'The id of an entry is a UUID.' }),
  at: z.iso.datetime({ error: 'A time is written like 2026-05-01T09:30:00Z.' }),
  by: z.string().max(80),
  change: stockChangeSchema,
});

export const stockEntriesSchema = z.strictObject({
  entries: z
    .array(stockEntrySchema)
    .min(1, { error: 'One entry at least.' })
    .max(100, { error: 'A hundred entries at most.' }),
});

export const stockTakenSchema = z.object({ taken: z.number().int() });

// TYPES

export type StockEntry = Readonly<z.infer<typeof stockEntrySchema>>;
export type StockChange = Readonly<z.infer<typeof stockChangeSchema>>;
export type CutFor = Readonly<z.infer<typeof cutFor>>;
