/** Has the service worker keep the application on this device. Only over an address that the browser trusts: this machine itself, or one with a certificate. */
export function keepApplication(): void {
  if ('serviceWorker' in navigator && window.isSecureContext) navigator.serviceWorker.register('/service-worker.js').catch(() => undefined);
}
