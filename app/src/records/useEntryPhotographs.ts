import { useCallback } from 'react';
import { v7 } from 'uuid';
import type { Draft } from '../data/draft';
import { chooseFiles } from '../data/files';
import { madePicture } from '../data/madePicture';
import { readSettings } from '../data/settings';
import { useYardOnDevice } from '../data/yardOnDevice';
import { sendPicture } from '../device/pictureRows';
import { useSay } from '../ui/Said';

/** Pictures that hang on an entry of the records: chosen, made fit, kept, and sent. */
export function useEntryPhotographs({ job }: Pick<Draft, 'job'>) {
  const { aboard, pictures } = useYardOnDevice();
  const say = useSay();
  const { id, name } = job.boat;
  const choose = useCallback(
    (onChosen: (ids: string[]) => void) => {
      const add = async () => {
        const ids: string[] = [];
        for (const file of await chooseFiles('image/*', true)) {
          const made = await madePicture(file);
          if (!made.ok) {
            say(made.message);
            continue;
          }
          try {
            await pictures.keep(made.picture);
          } catch {
            say(`${file.name}: this device has no room for it.`);
            continue;
          }
          const hand = { by: readSettings().person, now: Date.now(), newId: () => v7() };
          await aboard.change((change) => sendPicture(change, { id, name }, made.picture, hand));
          ids.push(made.picture.large.id);
        }
        if (ids.length > 0) onChosen(ids);
      };
      void add();
    },
    [aboard, pictures, say, id, name],
  );
  return { choose };
}
