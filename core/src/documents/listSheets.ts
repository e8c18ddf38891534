import type { BuildList } from '../build';
import { formatQuantity, type UnitSystem } from '../units';
import { heading, tickBox, type Paper, type Sheet } from './sheetNodes';
import { conductorSection } from './sheetSections';

/** What a list of one circuit stands on. */
export interface ListGround {
  /** Boat and circuit. */
  readonly title: string;
  readonly list: BuildList;
  readonly units: UnitSystem;
  readonly paper: Paper;
  /** The day, in words. */
  readonly day: string;
}

/** The cut list: what goes to the bench with the drums. */
export function cutSheet({ title, list, units, paper, day }: ListGround): Sheet {
  return {
    paper,
    title: `${title}, cut list`,
    head: [title, day],
    foot: 'Cut lengths hold the slack that each end needs; they are not the lengths that the drop is figured by.',
    content: [{ text: 'Cut list', font: 'AtkinsonBold', fontSize: 20 }, title, ...conductorSection(list, units)],
  };
}

/** The parts list, with a box beside each part that is still to be got. */
export function partsSheet({ title, list, units, paper, day }: ListGround): Sheet {
  const line = ({ item, quantity, unit, why }: BuildList['parts'][number]) => {
    const number = unit === 'm' ? `${formatQuantity(quantity, 'length', units)} ` : `${quantity} × `;
    return tickBox({
      text: [
        { text: `${number}${item}`, font: 'AtkinsonMedium' },
        { text: `  ${why}`, fontSize: 9 },
      ],
    });
  };
  const aboard = list.parts.filter(({ aboard: ticked }) => ticked);
  return {
    paper,
    title: `${title}, parts`,
    head: [title, day],
    foot: 'Quantities come from the circuit’s own lengths and joints, each with its reason.',
    content: [
      { text: 'Parts', font: 'AtkinsonBold', fontSize: 20 },
      title,
      heading('To get'),
      ...list.parts.filter(({ aboard: ticked }) => !ticked).map(line),
      ...(aboard.length > 0 ? [heading('On board already'), { ul: aboard.map(({ item }) => item) }] : []),
      heading('Tools'),
      list.tools.join(' · '),
    ],
  };
}
