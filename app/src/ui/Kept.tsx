import { Activity, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';

/**
 * What was shown once is kept as it stands, outside the document: shown again it
 * is there at once, and while it is not shown nothing of it is heard, found or
 * laid out, its effects rest, and it follows changes only while nothing else is to be done.
 */
export function Kept({ shown, children }: { readonly shown: boolean; readonly children: ReactNode }) {
  const [room] = useState(newRoom);
  const place = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    if (!shown) return undefined;
    place.current?.append(room);
    return () => room.remove();
  }, [shown, room]);
  return (
    <>
      {shown ? (
        <div ref={place} style={{ display: 'flex', flexDirection: 'column', flex: 1, minHeight: 0, minWidth: 0 }} />
      ) : null}
      <Activity mode={shown ? 'visible' : 'hidden'}>{createPortal(children, room)}</Activity>
    </>
  );
}

function newRoom(): HTMLElement {
  const room = document.createElement('div');
  Object.assign(room.style, { display: 'flex', flexDirection: 'column', flex: '1', minHeight: '0', minWidth: '0' });
  return room;
}
