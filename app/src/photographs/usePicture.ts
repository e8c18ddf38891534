import { useEffect, useState } from 'react';
import type { Shown } from '../device/Pictures';
import { useYardOnDevice } from '../data/yardOnDevice';

/** A picture as far as it can be shown; undefined while it is looked for. It is looked for again when the server is reached. */
export function usePicture(id: string, small: boolean): Shown | undefined {
  const { pictures, feed } = useYardOnDevice();
  const [shown, setShown] = useState<{ readonly id: string; readonly is: Shown }>();
  const known = pictures.known(id) ?? (shown?.id === id ? shown.is : undefined);
  const here = known?.kind === 'here';
  useEffect(() => {
    if (here) return undefined;
    let seen = true;
    const look = () => void pictures.show(id, small).then((is) => (seen ? setShown({ id, is }) : undefined));
    look();
    const end = feed.subscribe(() => (feed.state.kind === 'current' ? look() : undefined));
    return () => {
      seen = false;
      end();
    };
  }, [id, small, here, pictures, feed]);
  return known;
}
