import { useSyncExternalStore } from 'react';

/** Whether a newer version of the application lies on the device, and how it is begun. */
class Release {
  waiting = false;
  private worker: ServiceWorker | null = null;
  private look: () => Promise<unknown> = async () => undefined;
  private readonly listeners = new Set<() => void>();

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Has every file of this version kept on the device, so that it opens without a network, and looks for newer ones. */
  async keepOnDevice(): Promise<void> {
    if (!('serviceWorker' in navigator)) return;
    const { serviceWorker } = navigator;
    // The first worker takes nothing over: only a change of version loads the page anew.
    const had = serviceWorker.controller !== null;
    let changing = false;
    serviceWorker.addEventListener('controllerchange', () => {
      if (!had || changing) return;
      changing = true;
      window.location.reload();
    });
    const registration = await serviceWorker.register('/sw.js', { updateViaCache: 'none' });
    const tell = (worker: ServiceWorker | null) => {
      if (!worker || serviceWorker.controller === null) return;
      this.worker = worker;
      this.waiting = true;
      for (const listener of this.listeners) listener();
    };
    tell(registration.waiting);
    registration.addEventListener('updatefound', () => {
      const { installing } = registration;
      installing?.addEventListener('statechange', () =>
        installing.state === 'installed' ? tell(installing) : undefined,
      );
    });
    // Where there is no network nothing is found, which is no error.
    this.look = () => registration.update();
    const look = () => void this.look().catch(() => undefined);
    setInterval(look, LOOK_EVERY_MS);
    document.addEventListener('visibilitychange', () => (document.visibilityState === 'visible' ? look() : undefined));
  }

  /** Fetches a newer version and begins it; what is on this device stays. */
  renew = async (): Promise<void> => {
    await this.look().catch(() => undefined);
    if (this.worker) this.begin();
    else window.location.reload();
  };

  /** Begins the newer version, in all tabs. */
  begin = (): void => this.worker?.postMessage('take-over');
}

const LOOK_EVERY_MS = 3_600_000;

export const release = new Release();

/** Whether a newer version waits to be begun. */
export function useReleaseWaiting(): boolean {
  return useSyncExternalStore(release.subscribe, () => release.waiting);
}
