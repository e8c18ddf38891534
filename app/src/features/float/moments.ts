/** What the section shows while a run is played. */
export interface Moment {
  readonly levelM: number;
  /** Circuits whose pump runs. */
  readonly running: readonly string[];
}

/** The moment of a run that is played: the section alone listens, so that nothing else is shown anew each frame. */
export interface Moments {
  now(): Moment | null;
  subscribe(listener: () => void): () => void;
  show(moment: Moment | null): void;
}

/** No moment yet. */
export function makeMoments(): Moments {
  const listeners = new Set<() => void>();
  let shown: Moment | null = null;
  return {
    now: () => shown,
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    show: (moment) => {
      shown = moment;
      for (const listener of listeners) listener();
    },
  };
}
