import { z } from 'zod';

const between = (name: string, unit: string, min: number, max: number, help: string) =>
  z
    .number({ error: `${name} must be a number, in ${unit}.` })
    .min(min, { error: `${name} lies between ${min} and ${max} ${unit}. ${help}` })
    .max(max, { error: `${name} lies between ${min} and ${max} ${unit}. ${help}` });

const above0 = (name: string, unit: string, max: number, help: string) =>
  z
    .number({ error: `${name} must be a number, in ${unit}.` })
    .gt(0, { error: `${name} must be more than 0 ${unit}. ${help}` })
    .max(max, { error: `${name} above ${max} ${unit} is not a bilge. ${help}` });

/** The number fields of wells, hoses, floats and ingress, with their bounds and what is said outside them. */
export const waterFields = {
  trimDeg: between('Trim', '°', -20, 20, 'Read it with a level along the boat; bow down is positive.'),
  heelDeg: between('Heel', '°', -45, 45, 'Read it with a level across the boat; starboard down is positive.'),
  slopeDeg: between('The floor’s slope', '°', -30, 30, 'Rising forward is positive.'),
  deadriseDeg: between('Deadrise', '°', 0.5, 60, 'A flat floor is a box.'),
  placeM: between('A place', 'm', -50, 50, 'Measure from the pump: forward and to starboard are positive.'),
  heightM: between('A height', 'm', -5, 10, 'Measure straight up from the pump’s base; below it is negative.'),
  depthM: above0('A height in the table', 'm', 5, 'Measure from the well’s lowest point.'),
  sectionAreaM2: above0('A section’s area', 'm²', 50, 'The area below that height.'),
  widthM: above0('A width', 'm', 15, 'Measure across the well.'),
  boreM: between('The hose’s bore', 'm', 0.006, 0.15, 'Measure inside, in millimetres.'),
  alongM: between('A place along the hose', 'm', 0, 60, 'Measure from the pump along the hose.'),
  bends: z
    .int({ error: 'A number of bends, whole.' })
    .min(0, { error: 'A number of bends is 0 or more.' })
    .max(50, { error: 'At most fifty bends.' }),
  tripM: between('A trip height', 'm', 0, 0.5, 'Read it from the float’s leaflet, or lift it in a bucket.'),
  delayS: between('A delay', 's', 0, 3600, 'Read it from the sensor’s leaflet.'),
  timeS: between('A time', 's', 0, 31_536_000, 'Seconds from the start.'),
  ingressLPerH: between('Water coming in', 'L/h', 0, 1e6, 'Count a bucket by the clock.'),
  rainAreaM2: above0('The open area', 'm²', 500, 'Deck and cockpit that drain into this well.'),
  rainMmPerH: between('Rain', 'mm/h', 0, 300, 'A steady rain is 2 to 5, a downpour 30 and more.'),
  drips: between('Drips', 'a minute', 0, 600, 'Count them for a minute.'),
  dropML: between('A drop', 'mL', 0.01, 1, 'Twenty drops make about a millilitre.'),
  holeM: above0('A hole', 'm', 0.5, 'Its diameter.'),
  chargeA: between('A charge', 'A', 0, 200, 'What a panel or charger gives by day and night on average.'),
} as const;
