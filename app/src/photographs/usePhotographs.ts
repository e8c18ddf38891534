import type { Job, Photograph } from '@harbor-latch/core/job/index';
import { MOST_PHOTOGRAPHS } from '@harbor-latch/core/job/photographSchema';
import { useState } from 'react';
import { v4 } from 'uuid';
import { useDrafts } from '../data/boats';
import type { Draft } from '../data/draft';
import { sendPicture } from '../device/pictureRows';
import { chooseFiles } from '../data/files';
import { madePicture } from '../data/madePicture';
import { useSettings } from '../data/settings';
import { useYardOnDevice } from '../data/yardOnDevice';
import { useWhileSeen } from '../useWhileSeen';
import { useSayChange } from '../useSayChange';

/** The photographs of a boat, or of one of her circuits, and what can be done with them. */
export interface Photographs {
  readonly list: readonly Photograph[];
  /** How many are being made fit to be kept. */
  readonly making: number;
  /** Files that did not become photographs, with why. */
  readonly problems: readonly string[];
  choose(): void;
  note(id: string, note: string): void;
  remove(id: string): void;
  dismiss(): void;
}

const none: readonly Photograph[] = [];

/**
 * @param circuitId the circuit they hang on; undefined: the boat herself
 * @param step the step of building that they show; undefined: all of the circuit's
 */
export function usePhotographs(
  { id, job }: Pick<Draft, 'id' | 'job'>,
  circuitId: string | undefined,
  step?: string,
): Photographs {
  const drafts = useDrafts();
  const { pictures } = useYardOnDevice();
  const { settings } = useSettings();
  const sayChange = useSayChange();
  const [making, setMaking] = useState(0);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const list = (job.photographs ?? none).filter(
    (one) => one.circuitId === circuitId && (step === undefined || one.step === step),
  );
  const change = (of: (before: readonly Photograph[]) => readonly Photograph[]) => {
    // What stands now, not what stood when the files were chosen.
    const now = drafts.all().get(id)?.job;
    if (now) drafts.change(id, withPhotographs(now, of(now.photographs ?? none)));
  };
  const addOne = async (file: File): Promise<string | null> => {
    if ((drafts.all().get(id)?.job.photographs?.length ?? 0) >= MOST_PHOTOGRAPHS)
      return `${file.name}: a boat has at most ${MOST_PHOTOGRAPHS} photographs. Remove one first.`;
    const made = await madePicture(file);
    if (!made.ok) return made.message;
    const { large, small } = made.picture;
    try {
      await pictures.keep(made.picture);
    } catch {
      return `${file.name}: this device has no room for it. Free some space, then choose it again.`;
    }
    const photograph: Photograph = {
      id: v4(),
      photo: large.id,
      small: small.id,
      ...(circuitId === undefined ? {} : { circuitId }),
      ...(step === undefined ? {} : { step }),
      addedAt: new Date().toISOString(),
      ...(settings.person === '' ? {} : { addedBy: settings.person }),
    };
    const now = drafts.all().get(id)?.job;
    if (now)
      drafts.changeWith(id, withPhotographs(now, [...(now.photographs ?? none), photograph]), (on, hand) =>
        sendPicture(on, { id, name: now.boat.name }, made.picture, hand),
      );
    return null;
  };
  const choose = async () => {
    const files = await chooseFiles('image/*', true);
    setProblems([]);
    setMaking(files.length);
    for (const file of files) {
      const problem = await addOne(file);
      if (problem !== null) setProblems((before) => [...before, problem]);
      setMaking((left) => left - 1);
    }
  };
  return {
    list,
    making,
    problems,
    choose: () => void choose(),
    note: (photographId, note) =>
      change((before) => before.map((one) => (one.id === photographId ? noted(one, note) : one))),
    remove: (photographId) => {
      change((before) => before.filter((one) => one.id !== photographId));
      sayChange(id, 'The photograph was taken off');
    },
    dismiss: () => setProblems([]),
  };
}

function noted({ note: _before, ...photograph }: Photograph, note: string): Photograph {
  return note === '' ? photograph : { ...photograph, note };
}

function withPhotographs({ photographs: _before, ...job }: Job, photographs: readonly Photograph[]): Job {
  return photographs.length === 0 ? job : { ...job, photographs: [...photographs] };
}

/** Whether photographs of a boat wait to be sent, and what the server said against one. */
export function usePhotoTrouble(boatId: string): { readonly waiting: number; readonly refused: string | null } {
  const { aboard } = useYardOnDevice();
  const own = () => aboard.waiting.flatMap((one) => (one.kind === 'photo' && one.boatId === boatId ? [one] : []));
  const waiting = useWhileSeen(aboard, () => own().length);
  const refused = useWhileSeen(aboard, () => own().find((one) => one.refused !== null)?.refused ?? null);
  return { waiting, refused };
}
