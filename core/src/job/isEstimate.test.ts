import { isEstimate } from './isEstimate';

const job = {
  wells: [{ guessed: true, aftM: -0.4, section: { widthM: 0.5 } }, { aftM: -0.4 }],
  circuits: [
    {
      legs: { sourceToPanel: { lengthM: 2, guessed: true, slackM: 0.3 }, panelToBilge: { lengthM: 4.5 } },
      pump: { catalogue: 'medium', currentA: 4.6, openFlowLPerH: 2800 },
      water: { hose: { guessed: true, boreM: 0.025, route: [{ alongM: 0 }] } },
    },
  ],
};

describe('an estimate', () => {
  it.each([
    [['wells', 0, 'aftM'], true],
    [['wells', 0, 'section', 'widthM'], true],
    [['wells', 0, 'floorM'], false],
    [['wells', 1, 'aftM'], false],
    [['circuits', 0, 'legs', 'sourceToPanel', 'lengthM'], true],
    [['circuits', 0, 'legs', 'sourceToPanel', 'slackM'], false],
    [['circuits', 0, 'legs', 'panelToBilge', 'lengthM'], false],
    [['circuits', 0, 'pump', 'currentA'], true],
    [['circuits', 0, 'pump', 'openFlowLPerH'], false],
    [['circuits', 0, 'pump', 'labelV'], false],
    [['circuits', 0, 'water', 'hose', 'route', 0, 'alongM'], true],
    [['circuits', 3, 'pump', 'currentA'], false],
  ])('%j: %s', (path, expected) => expect(isEstimate(job, path)).toBe(expected));
});
