import { useCallback } from 'react';
import { useDrafts } from './data/boats';
import { useSay } from './ui/Said';

/** Says what was changed in a boat, with the way back; both go with the next change of hers, or once it was taken back. */
export function useSayChange(): (boatId: string, text: string) => void {
  const drafts = useDrafts();
  const say = useSay();
  return useCallback(
    (boatId, text) => {
      const past = () => drafts.all().get(boatId)?.past;
      const then = past();
      const hush = say(text, () => drafts.undo(boatId));
      const stop = drafts.subscribe(() => {
        if (past() === then) return;
        stop();
        hush();
      });
    },
    [drafts, say],
  );
}
