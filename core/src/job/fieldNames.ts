import { legKinds } from './legs';
import { formatAmps, formatQuantity, type UnitSystem } from '../units';
import type { FieldPath } from './differences';
import { quantityByKey } from './fieldQuantities';
import type { Job } from './schema';

/** What the fields of a job are called on screen, by their keys. */
const names: Readonly<Record<string, string>> = {
  format: 'File format',
  version: 'File version',
  id: 'id',
  boat: 'Boat',
  batteries: 'Battery',
  circuits: 'Circuit',
  name: 'name',
  craft: 'craft',
  owner: 'owner',
  berth: 'berth',
  note: 'note',
  hullLengthM: 'hull length',
  petrol: 'petrol or gas on board',
  archived: 'put away',
  chemistry: 'chemistry',
  capacityAh: 'capacity',
  internalOhm: 'internal resistance',
  stateOfCharge: 'state of charge',
  restV: 'volts at rest',
  scheme: 'scheme',
  batteryId: 'fed from',
  manual: 'manual',
  source: 'source',
  stubLengthM: 'battery to fuse',
  stubSheathed: 'stub sheathed',
  takenFrom: 'feed taken from',
  feed: 'feed',
  mainFuse: 'main fuse',
  panel: 'panel',
  switchA: 'switch contact',
  fuse: 'panel fuse',
  light: 'running light',
  lightWired: 'running light wired',
  armedLight: 'armed light',
  legFuses: 'legs fused apart',
  manualA: 'manual fuse',
  autoA: 'auto fuse',
  posts: 'posts as printed',
  outline: 'outline of its posts',
  photographId: 'photograph',
  spots: 'posts seen',
  printed: 'printed',
  readings: 'continuity read',
  relay: 'relay',
  contactA: 'contact',
  coilOhm: 'coil',
  pullInV: 'pulls in at',
  dropOutV: 'lets go at',
  suppression: 'suppression',
  coilFuseA: 'coil fuse',
  alarm: 'alarm',
  alsoFrom: 'also sounds for',
  diodes: 'diodes in its feeds',
  ownV: 'own battery',
  rewired: 'wiring as found',
  removed: 'not there',
  moved: 'moved',
  added: 'added',
  expects: 'expected',
  tapFuseA: 'tap fuse',
  tapAccepted: 'tap without fuse decided on',
  floatA: 'float contact',
  sharesFeedWith: 'shares the feed of',
  legs: 'legs',
  ...Object.fromEntries(Object.entries(legKinds).map(([key, { name }]) => [key, name])),
  lengthM: 'length',
  slackM: 'slack',
  insulationC: 'insulation',
  engineSpace: 'in engine space',
  bundled: 'conductors bundled',
  further: 'further pieces',
  pump: 'pump',
  currentA: 'amperes',
  labelV: 'label volts',
  openFlowLPerH: 'open flow',
  openFlowV: 'flow given at',
  shutOffHeadM: 'shut-off head',
  makerFuseA: 'maker’s fuse',
  windingOhm: 'winding',
  curve: 'curve',
  leads: 'own leads',
  catalogue: 'catalogue class',
  choices: 'choices',
  rules: 'rule set',
  dropSchool: 'drop school',
  family: 'cable sizes',
  conductors: 'chosen sizes',
  protection: 'protection',
  chargeA: 'trickle charge',
  managementLimitA: 'battery’s own limit',
  seriesBank: 'series bank',
  bankV: 'bank volts',
  ownPoles: 'both poles from this battery',
  kept: 'kept',
  leftAloneDays: 'left alone for',
  multicore: 'sheathed multicore',
  unsheathedM: 'outside its sheath',
  autoLengthM: 'auto’s own length',
  thermalGuard: 'thermal guard as stated',
  floatLead: 'float’s leads',
  figures: 'figures',
  jointOhm: 'joints',
  switchOhm: 'switch contact',
  floatOhm: 'float contact',
  relayOhm: 'relay contact',
  fuseDropV: 'lost in a fuse',
  ledDropV: 'LED, volts',
  ledOhm: 'LED’s resistor',
  lampOhm: 'filament lamp',
  alarmOhm: 'alarm',
  sensorA: 'sensor draws',
  conductorC: 'conductors',
  engineSpaceC: 'conductors in an engine space',
  manualBreaksAuto: 'manual breaks auto',
  ventedLoopM: 'vented loop’s top',
  topM: 'spills over at',
  afloatIn: 'afloat in',
  build: 'as built',
  school: 'way of joining',
  joints: 'joints',
  colours: 'colours',
  base: 'colour',
  stripe: 'stripe',
  banded: 'banded',
  pulledM: 'as pulled',
  pulls: 'how it is pulled',
  bends: 'bends',
  sealedSpace: 'closed space',
  bulkheads: 'bulkheads',
  spareCore: 'spare core',
  slack: 'slack',
  panelEndM: 'at the panel',
  benchM: 'up to the bench',
  dripLoopM: 'drip loop',
  jointM: 'for a joint',
  remakeM: 'for a remake',
  disconnects: 'disconnects',
  temperatureC: 'temperature',
  labelCode: 'code on labels',
  aboard: 'on board already',
  outlet: 'outlet',
  threadM: 'thread',
  holeM: 'hole',
  flangeM: 'flange',
  sealant: 'sealant',
  cored: 'cored hull',
  cutOut: 'cut-out',
  widthM: 'width',
  heightM: 'height',
  cornerM: 'corners',
  depthM: 'depth',
  roomM: 'room behind',
  edgeM: 'to the edge',
  steps: 'steps',
  skipped: 'left out',
  photographs: 'Photograph',
  photo: 'picture',
  small: 'small picture',
  circuitId: 'hangs on circuit',
  step: 'of the step',
  addedAt: 'added',
  addedBy: 'added by',
  wells: 'Well',
  poses: 'Pose',
  ingress: 'Way in',
  trimDeg: 'trim',
  heelDeg: 'heel',
  outsideM: 'water outside',
  aftM: 'aft end',
  foreM: 'fore end',
  centreYM: 'middle',
  floorM: 'lowest point',
  slopeDeg: 'floor’s slope',
  section: 'section',
  members: 'members',
  limits: 'what must stay dry',
  guessed: 'a guess',
  sources: 'sources',
  water: 'in the well',
  wellId: 'stands in',
  pumpAt: 'pump’s place',
  portM: 'pump’s outlet',
  hose: 'hose',
  boreM: 'bore',
  wall: 'wall',
  route: 'route',
  bends90: 'bends of 90°',
  bends45: 'bends of 45°',
  checkValve: 'check valve',
  ventedLoop: 'vented loop',
  skinFitting: 'skin fitting',
  float: 'float',
  xM: 'forward of the pump',
  yM: 'to starboard',
  zM: 'height over the pump’s base',
  onM: 'switches on at',
  offM: 'switches off at',
  onDelayS: 'waits',
  runOnS: 'runs on',
  kind: 'kind',
  ratingA: 'rating',
  size: 'size',
};

const namedLists = ['circuits', 'batteries', 'wells', 'poses', 'ingress', 'photographs'] as const;

function isNamedList(list: string | undefined): list is (typeof namedLists)[number] {
  return namedLists.some((one) => one === list);
}

/** What a thing of a list is called: by its name; a photograph by its note or its day. */
function nameIn(jobs: readonly Job[], list: (typeof namedLists)[number], id: string): string {
  if (list !== 'photographs')
    return jobs.flatMap((job) => [...(job[list] ?? [])]).find((item) => item.id === id)?.name ?? id;
  const photograph = jobs.flatMap((job) => job.photographs ?? []).find((item) => item.id === id);
  return photograph?.note ?? `of ${photograph?.addedAt.slice(0, 10) ?? id}`;
}

/** A field in words: "Circuit Main pump: panel to bilge, length". Things with an id go by their name. */
export function fieldInWords(path: FieldPath, jobs: readonly Job[]): string {
  const [list, id, ...rest] = path;
  const inside = (keys: FieldPath) => keys.map((key) => names[key] ?? key).join(', ');
  if (list === 'boat') return `Boat: ${inside(path.slice(1))}`;
  if (!isNamedList(list) || id === undefined) return inside(path);
  const what = `${names[list] ?? list} ${nameIn(jobs, list, id)}`;
  return rest.length === 0 ? what : `${what}: ${inside(rest.filter((key) => key !== 'legs' && key !== 'choices'))}`;
}

/**
 * A JSON path of a job file in words, for a file that was refused: "Circuit 1: panel to bilge, length".
 * A key that no job has stays as it was written, in quotation marks.
 */
export function placeInWords(path: string): string {
  const steps = [...path.matchAll(/\.([A-Za-z0-9_]+)|\[(\d+)\]|\["((?:[^"\\]|\\.)*)"\]/g)].map(
    ([, key, index, quoted]) => (index === undefined ? (key ?? quoted ?? '') : Number(index)),
  );
  const [list, at, ...rest] = steps;
  if (list === undefined) return 'The file';
  const word = (key: string | number) => (typeof key === 'number' ? `no. ${key + 1}` : (names[key] ?? `“${key}”`));
  const quiet = (key: string | number) => key !== 'legs' && key !== 'choices';
  if (typeof at !== 'number')
    return `${word(list)}${at === undefined ? '' : `: ${[at, ...rest].filter(quiet).map(word).join(', ')}`}`;
  const place = rest.filter(quiet).map(word).join(', ');
  return `${word(list)} ${at + 1}${place === '' ? '' : `: ${place}`}`;
}

/** A field's value in words, in the unit system given. */
export function valueInWords(path: FieldPath, value: unknown, units: UnitSystem): string {
  const key = path[path.length - 1] ?? '';
  if (value === undefined) return 'not entered';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    const quantity = quantityByKey[key];
    if (quantity) return formatQuantity(value, quantity, units);
    return key.endsWith('A') ? formatAmps(value) : String(value);
  }
  if (typeof value === 'string') return value;
  return path.length === 2 ? 'there' : JSON.stringify(value);
}
