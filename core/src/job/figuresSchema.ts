import { z } from 'zod';
import { defaults } from '../reference';
import { jobFields } from './fields';

const ohm = jobFields.figureOhm.optional();
const volts = jobFields.figureV.optional();
const celsius = jobFields.conductorC.optional();

/** Figures of a circuit that mostly stand at their defaults: contacts, joints, lamps, temperatures. */
export const figuresSchema = z.strictObject({
  jointOhm: ohm.describe(`Of each joint. Default ${defaults.jointOhm} Ω.`),
  switchOhm: ohm.describe(`Of a switch's contact. Default ${defaults.switchContactOhm} Ω.`),
  floatOhm: ohm.describe(`Of a float's contact. Default ${defaults.floatContactOhm} Ω.`),
  relayOhm: ohm.describe(`Of a relay's contact. Default ${defaults.relayContactOhm} Ω.`),
  fuseDropV: volts.describe(`Lost in a fuse at its rating. Default ${defaults.fuseDropV} V.`),
  ledDropV: volts.describe(`Of a LED. Default ${defaults.ledDropV} V.`),
  ledOhm: ohm.describe(`Of a LED's resistor. Default ${defaults.ledOhm} Ω.`),
  lampOhm: ohm.describe(`Of a filament lamp. Default ${defaults.pilotLampOhm} Ω.`),
  alarmOhm: ohm.describe(`Of an alarm's sounder. Default ${defaults.alarmOhm} Ω.`),
  sensorA: jobFields.sensorA.optional().describe(`Drawn by an electronic sensor. Default ${defaults.sensorDrawA} A.`),
  conductorC: celsius.describe(`Temperature of conductors. Default ${defaults.conductorC} °C.`),
  engineSpaceC: celsius.describe(`And in an engine space. Default ${defaults.engineSpaceC} °C.`),
});

// TYPES

export type Figures = z.infer<typeof figuresSchema>;
