import { act } from 'react';
import { boatId, boatWith, Page, storeWith } from '../testing/page.fixture';
import { doneByNow } from '../ui/oncePainted';
import { BoatForm } from './BoatForm';
import { ChoiceField } from './ChoiceField';
import { DoubtsContext } from './FieldContext';
import { NumberField } from './NumberField';
import { TextField } from './TextField';

const path = ['circuits', 0, 'legs', 'panelToBilge', 'lengthM'];
let page: Page;
afterEach(() => page.close());

function lengthPage(units: 'metric' | 'us' = 'metric', doubts: ReadonlyMap<string, string> = new Map()): Page {
  page = new Page(storeWith(boatWith()));
  return page.show(
    (draft) => (
      <BoatForm draft={draft}>
        <DoubtsContext.Provider value={doubts}>
          <NumberField
            path={path}
            label="Panel to bilge"
            quantity="length"
            step={{ metric: 0.1, us: 0.5 }}
            picks={{ metric: [2, 8], us: [6, 25] }}
            needed
          />
        </DoubtsContext.Provider>
      </BoatForm>
    ),
    { units },
  );
}

const lengthM = () => page.job.circuits[0]?.legs.panelToBilge.lengthM;

describe('a number field', () => {
  it('takes what is typed, in the unit it shows', async () => {
    lengthPage();
    await page.fill('Panel to bilge, in m', '6,25');
    expect(lengthM()).toBe(6.25);
  });

  it('takes a unit of the other system after the number', async () => {
    lengthPage();
    await page.fill('Panel to bilge, in m', '10 ft');
    expect(lengthM()).toBeCloseTo(3.048, 12);
  });

  it('shows feet where the yard works in feet, and steps by half a foot', async () => {
    lengthPage('us');
    expect((page.labelled('Panel to bilge, in ft') as HTMLInputElement).value).toBe('16.4');
    await page.press('More Panel to bilge');
    expect(lengthM()).toBeCloseTo(17 * 0.3048, 12);
  });

  it('steps up and down, never to nothing', async () => {
    lengthPage();
    await page.press('Less Panel to bilge');
    expect(lengthM()).toBeCloseTo(4.9, 12);
    await page.fill('Panel to bilge, in m', '0.1');
    await page.press('Less Panel to bilge');
    expect(lengthM()).toBeCloseTo(0.1, 12);
  });

  describe('shows a figure before anything follows from it', () => {
    const input = () => page.labelled('Panel to bilge, in m') as HTMLInputElement;
    const follow = () => act(async () => doneByNow());
    // The frame is not painted until the test is over.
    beforeEach(() => jest.spyOn(globalThis, 'requestAnimationFrame').mockReturnValue(0));
    afterEach(async () => {
      await follow();
      jest.restoreAllMocks();
    });

    it('that was stepped to', async () => {
      lengthPage();
      await page.press('More Panel to bilge');
      expect([input().value, lengthM()]).toEqual(['5.1', 5]);
      await follow();
      expect([input().value, lengthM()]).toEqual(['5.1', 5.1]);
    });

    it('that was typed, and takes it when the field is left', async () => {
      lengthPage();
      await page.fill('Panel to bilge, in m', '6.2');
      expect([input().value, lengthM()]).toEqual(['6.2', 5]);
      await act(async () => {
        input().focus();
        input().blur();
      });
      expect([input().value, lengthM()]).toEqual(['6.2', 6.2]);
    });

    it('one after the other: each step goes on from the one before', async () => {
      lengthPage();
      for (let step = 0; step < 3; step += 1) {
        await page.press('Less Panel to bilge');
        // The next finger comes down.
        await act(async () => document.dispatchEvent(new Event('pointerdown', { bubbles: true })));
      }
      expect([input().value, lengthM()]).toEqual(['4.7', 4.7]);
    });

    it('that is none, and keeps it as it was typed', async () => {
      lengthPage();
      await page.fill('Panel to bilge, in m', 'about 6');
      await follow();
      expect([input().value, lengthM()]).toEqual(['about 6', 5]);
      expect(page.store.all().get(boatId)?.typed).toEqual({ [path.join('/')]: 'about 6' });
    });
  });

  it('takes a common value at one touch', async () => {
    lengthPage();
    await page.press('Panel to bilge: 8 m');
    expect(lengthM()).toBe(8);
  });

  it('changes its unit at a touch and keeps the length', async () => {
    lengthPage();
    await page.press('Panel to bilge: unit m, change');
    expect((page.labelled('Panel to bilge, in ft') as HTMLInputElement).value).toBe('16.4');
    expect(lengthM()).toBe(5);
  });

  it('keeps a text that is no figure, says what to type, and leaves the job as it was', async () => {
    lengthPage();
    await page.fill('Panel to bilge, in m', 'long');
    expect(page.text).toContain('Type a number in m');
    expect(lengthM()).toBe(5);
    expect(page.store.all().values().next().value?.typed).toEqual({ [path.join('/')]: 'long' });
    await page.fill('Panel to bilge, in m', '4');
    expect(page.text).not.toContain('Type a number');
    expect(page.store.all().values().next().value?.typed).toEqual({});
  });

  it('refuses what cannot be and says what to do', async () => {
    lengthPage();
    await page.fill('Panel to bilge, in m', '-2');
    expect(page.text).toContain('A length must be more than 0 m. Measure one way');
    expect(lengthM()).toBe(5);
  });

  it('says that it is needed once it is emptied', async () => {
    lengthPage();
    await page.fill('Panel to bilge, in m', '');
    expect(lengthM()).toBeUndefined();
    expect(page.text).toContain('needed');
  });

  it('speaks a doubt about the figure beside it', () => {
    lengthPage('metric', new Map([[path.join('/'), 'Was it measured in feet?']]));
    expect(page.text).toContain('Was it measured in feet?');
  });
});

describe('a choice', () => {
  const choosing = () => {
    page = new Page(storeWith(boatWith()));
    return page.show((draft) => (
      <BoatForm draft={draft}>
        <ChoiceField
          path={['circuits', 0, 'legs', 'panelToBilge', 'bundled']}
          label="Bundle"
          assumed={0}
          nothing={0}
          choices={[
            { value: 0, label: 'None' },
            { value: 6, label: '4 to 6' },
          ]}
        />
      </BoatForm>
    ));
  };
  const bundled = () => page.job.circuits[0]?.legs.panelToBilge.bundled;

  it('shows its default as one until something is chosen', async () => {
    choosing();
    expect(page.text).toContain('default');
    await page.press('4 to 6');
    expect(bundled()).toBe(6);
    expect(page.text).not.toContain('default');
  });

  it('that means nothing leaves the field empty', async () => {
    choosing();
    await page.press('4 to 6');
    await page.press('None');
    expect(bundled()).toBeUndefined();
    expect(page.job.circuits[0]?.legs.panelToBilge).not.toHaveProperty('bundled');
  });
});

describe('a text', () => {
  it('that must be there is refused empty, in place, and what was there stays', async () => {
    page = new Page(storeWith(boatWith()));
    page.show((draft) => (
      <BoatForm draft={draft}>
        <TextField path={['boat', 'name']} label="Name" needed />
      </BoatForm>
    ));
    await page.fill('Name', '  ');
    expect(page.text).toContain('Give it a name');
    expect(page.job.boat.name).toBe('Tern');
    await page.fill('Name', 'Gull');
    expect(page.job.boat.name).toBe('Gull');
  });
});
