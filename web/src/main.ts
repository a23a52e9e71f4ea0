import { provideHttpClient, withFetch } from '@angular/common/http';
import { provideBrowserGlobalErrorListeners } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { provideRouter, withComponentInputBinding } from '@angular/router';
import { App } from './app/app';
import { ROUTES } from './app/routes';

bootstrapApplication(App, {
  providers: [provideBrowserGlobalErrorListeners(), provideHttpClient(withFetch()), provideRouter(ROUTES, withComponentInputBinding())],
}).catch((error: unknown) => {
  document.body.textContent = `Yardland could not start: ${String(error)}`;
});
