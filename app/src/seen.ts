import { createContext } from 'react';

/** Whether a page is the one that is seen, or lies under another. */
export interface Seen {
  now(): boolean;
  /** Tells when it is seen again. @returns what ends that */
  subscribe(listener: () => void): () => void;
}

export const SeenContext = createContext<Seen>({ now: () => true, subscribe: () => () => undefined });
