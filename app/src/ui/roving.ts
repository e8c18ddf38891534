/** A key pressed in a group of choices, tabs or things of a drawing. */
interface GroupKey {
  readonly key: string;
  readonly currentTarget: unknown;
  readonly defaultPrevented?: boolean;
  isDefaultPrevented?(): boolean;
  preventDefault(): void;
}

const MEMBERS = '[role=radio], [role=tab]';
const GROUPS = '[role=radiogroup], [role=tablist]';

/** Where each key leads from the one at `at` of `count`; null for keys that lead nowhere. */
export function nextAt(key: string, at: number, count: number): number | null {
  switch (key) {
    case 'ArrowRight':
    case 'ArrowDown':
      return (at + 1) % count;
    case 'ArrowLeft':
    case 'ArrowUp':
      return (at + count - 1) % count;
    case 'Home':
      return 0;
    case 'End':
      return count - 1;
    default:
      return null;
  }
}

/**
 * Goes through a group by arrow keys, Home and End: the group is one stop of the tab
 * key. With `choosing` what is reached is chosen too; else Space or Enter chooses.
 */
export function rove(event: GroupKey, choosing: boolean): void {
  const group = event.currentTarget;
  if (!(group instanceof Element) || event.isDefaultPrevented?.() === true || event.defaultPrevented === true) return;
  const members = [...group.querySelectorAll<HTMLElement | SVGElement>(MEMBERS)].filter(
    (member) => member.closest(GROUPS) === group && member.getAttribute('aria-disabled') !== 'true',
  );
  const at = members.findIndex((member) => member === document.activeElement);
  if (at < 0) return;
  const press = (member: Element | undefined) =>
    member?.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true }));
  if (event.key === ' ') press(members[at]);
  else {
    const next = nextAt(event.key, at, members.length);
    if (next === null) return;
    const member = members[next];
    member?.focus();
    if (choosing && next !== at) press(member);
  }
  event.preventDefault();
}

/** What makes a group one stop of the tab key, its arrow keys going from one to the next. */
export const roving = { onKeyDown: (event: GroupKey) => rove(event, true) } as object;

/** The same, where what is reached is chosen only by Space or Enter. */
export const rovingUnchosen = { onKeyDown: (event: GroupKey) => rove(event, false) } as object;
