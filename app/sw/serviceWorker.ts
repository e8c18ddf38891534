/// <reference lib="webworker" />
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

declare const self: ServiceWorkerGlobalScope;

/** Every file of this version, written in by the build; the revision is null where the name carries the hash. */
declare const FILES: readonly PrecacheEntry[];

// All files of a version come onto the device together, or none: two versions are never mixed.
precacheAndRoute([...FILES], { ignoreURLParametersMatching: [/.*/], directoryIndex: 'index.html' });
cleanupOutdatedCaches();

// Any page of the application is the one page; what is asked of the server, and files, are never answered with it.
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api(\/|$)/, /\.\w{2,12}$/] }),
);

// A new version waits until its user says so: then all tabs change together.
self.addEventListener('message', ({ data }) => {
  if (data === 'take-over') void self.skipWaiting();
});
