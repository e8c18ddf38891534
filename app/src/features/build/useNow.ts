import { useEffect, useState } from 'react';

const EVERY_MS = 20_000;

/** The time, ms since 1970, kept up to date while it is shown. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const look = () => setNow(Date.now());
    const timer = setInterval(look, EVERY_MS);
    // A phone that slept comes back to clocks that ran on.
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, []);
  return now;
}
