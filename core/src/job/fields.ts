import { z } from 'zod';

const positive = (name: string, unit: string, max: number, help: string) =>
  z
    .number({ error: `${name} must be a number, in ${unit}.` })
    .gt(0, { error: `${name} must be more than 0 ${unit}. ${help}` })
    .max(max, { error: `${name} above ${max} ${unit} is not a bilge-pump circuit. ${help}` });

/** Text that every store and export can hold: no NUL, no half of a character pair. */
const storable = (text: string) => !/[\u0000]|[\uD800-\uDFFF]/u.test(text);

/** Free text of at most `max` characters. */
export const freeText = (max: number) =>
  z
    .string({ error: 'This must be text.' })
    .max(max, { error: `At most ${max} characters fit here.` })
    .refine(storable, { error: 'This text holds characters that cannot be stored. Type it again.' });

/**
 * The number fields of a job, each with its bounds and the words shown when a
 * value is outside them. The job schema and the entry fields of the application
 * use the same definitions.
 */
export const jobFields = {
  lengthM: positive('A length', 'm', 100, 'Measure one way along the route the cable takes.'),
  stubLengthM: positive(
    'The stub before the fuse',
    'm',
    5,
    'Measure along the conductor from the battery post to the fuse.',
  ),
  insulationC: z
    .number({ error: 'The insulation rating must be a number, in °C.' })
    .min(60, { error: 'Insulation below 60 °C has no ampacity in the tables. Read the rating printed on the cable.' })
    .max(200, { error: 'Insulation above 200 °C is not in the tables. Read the rating printed on the cable.' }),
  currentA: positive('Pump current', 'A', 100, 'Read it from the label, or measure with the pump under water.'),
  voltsV: z
    .number({ error: 'Volts must be a number, in V.' })
    .min(9, { error: 'This is a 12 V system: label volts lie between 9 and 16 V.' })
    .max(16, { error: 'This is a 12 V system: label volts lie between 9 and 16 V.' }),
  openFlowLPerH: positive(
    'Open flow',
    'L/h',
    60000,
    'Read it from the label; check whether it says litres or gallons.',
  ),
  shutOffHeadM: positive(
    'Shut-off head',
    'm',
    40,
    'Read it from the label or the pump’s curve; check whether it says metres or feet.',
  ),
  makerFuseA: positive('The maker’s fuse', 'A', 200, 'Read it from the pump’s label or leaflet.'),
  windingOhm: positive(
    'Winding resistance',
    'Ω',
    50,
    'Take the lowest reading of several shaft positions and subtract the meter’s leads.',
  ),
  capacityAh: positive('Battery capacity', 'Ah', 5000, 'Read it from the battery’s label; add batteries in parallel.'),
  internalOhm: positive('Internal resistance', 'Ω', 1, 'A healthy bank is a few thousandths of an ohm.'),
  stateOfCharge: z
    .number({ error: 'State of charge must be a number from 0 to 1.' })
    .min(0, { error: 'State of charge is a share from 0 (empty) to 1 (full).' })
    .max(1, { error: 'State of charge is a share from 0 (empty) to 1 (full).' }),
  restV: z
    .number({ error: 'Volts must be a number, in V.' })
    .min(10, { error: 'A 12 V battery at rest reads 10 to 15 V. Measure at its posts, with nothing running.' })
    .max(15, { error: 'A 12 V battery at rest reads 10 to 15 V. Measure at its posts, with no charger on.' }),
  slackM: z
    .number({ error: 'Slack must be a number, in m.' })
    .min(0, { error: 'Slack is 0 m or more.' })
    .max(20, { error: 'More than 20 m of slack is a leg of its own. Enter it as length.' }),
  bundled: z
    .int({ error: 'A number of conductors, whole.' })
    .min(1, { error: 'At least the one conductor itself.' })
    .max(200, { error: 'At most 200 conductors.' }),
  managementLimitA: positive(
    'The battery’s own limit',
    'A',
    1000,
    'Read it from the battery’s label or leaflet: the most that its management lets out.',
  ),
  leftAloneDays: positive('Days left alone', 'days', 400, 'The longest that nobody is aboard.'),
  figureOhm: z
    .number({ error: 'A resistance must be a number, in Ω.' })
    .min(0, { error: 'A resistance is 0 Ω or more.' })
    .max(10000, { error: 'More than 10 000 Ω is no contact, joint or lamp of such a circuit. Measure again.' }),
  figureV: z
    .number({ error: 'Volts must be a number, in V.' })
    .min(0, { error: 'Volts are 0 V or more.' })
    .max(6, { error: 'More than 6 V lost there leaves a 12 V circuit dead. Measure again.' }),
  sensorA: z
    .number({ error: 'A current must be a number, in A.' })
    .min(0, { error: 'A current is 0 A or more.' })
    .max(1, { error: 'A sensor draws thousandths of an ampere. Check whether it says mA.' }),
  conductorC: z
    .number({ error: 'A temperature must be a number, in °C.' })
    .min(-30, { error: 'Below −30 °C no boat pumps.' })
    .max(150, { error: 'Above 150 °C no insulation of a boat lasts.' }),
  contactA: positive('A contact rating', 'A', 200, 'Read it from the switch or float, for DC.'),
  coilOhm: positive('A coil', 'Ω', 2000, 'Measure it with the coil disconnected, or read the relay’s leaflet.'),
  coilV: positive('A coil voltage', 'V', 16, 'Read the relay’s leaflet: a 12 V relay pulls in at 7 to 9 V.'),
  alarmV: positive('An alarm’s battery', 'V', 16, 'Read it from the alarm: mostly 3 to 12 V.'),
  headM: z
    .number({ error: 'Head must be a number, in m.' })
    .min(0, { error: 'Head is 0 m or more.' })
    .max(40, { error: 'Head above 40 m is no bilge pump. Check whether it says metres or feet.' }),
  curveFlowLPerH: z
    .number({ error: 'Flow must be a number, in L/h.' })
    .min(0, { error: 'Flow is 0 L/h or more.' })
    .max(60000, { error: 'Flow above 60000 L/h is no bilge pump. Check whether it says litres or gallons.' }),
  leadLengthM: positive('A lead', 'm', 5, 'Measure from the pump to the joint.'),
  hullLengthM: positive('Hull length', 'm', 200, 'Length of the hull without bowsprit or platform.'),
  ratingA: positive('A fuse rating', 'A', 200, 'Choose one of the standard ratings.'),
  name: z
    .string({ error: 'A name must be text.' })
    .trim()
    .min(1, { error: 'Give it a name, so that you find it again.' })
    .max(200, { error: 'A name has at most 200 characters.' })
    .refine(storable, { error: 'This name holds characters that cannot be stored. Type it again.' }),
} as const;
