import type { NewVersion } from '../shared/new-version';

/**
 * Has the service worker keep the application on this device. Only over an address that the browser trusts: this machine itself, or one with a certificate. A newer one that waits
 * for all windows to be closed is said; it takes over where that is wished.
 */
export function keepApplication(version: Pick<NewVersion, 'say'>): void {
  if (!('serviceWorker' in navigator) || !window.isSecureContext) return;
  navigator.serviceWorker
    .register('/service-worker.js')
    .then((registration) => {
      const waits = (): void => {
        const worker = registration.waiting;
        if (!worker || !navigator.serviceWorker.controller) return;
        version.say(() => {
          navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
          worker.postMessage({ kind: 'take-over' });
        });
      };
      waits();
      registration.addEventListener('updatefound', () => registration.installing?.addEventListener('statechange', waits));
    })
    .catch(() => undefined);
}
