import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import { isDevMode, provideBrowserGlobalErrorListeners } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { provideRouter, withComponentInputBinding } from '@angular/router';
import { App } from './app/app';
import { ROUTES } from './app/routes';
import { keepApplication } from './app/offline/keep-application';
import { sayServerAway } from './app/offline/server-away';
import { signInAgain } from './app/shell/sessions-api';

bootstrapApplication(App, {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideHttpClient(withFetch(), withInterceptors([signInAgain, sayServerAway])),
    provideRouter(ROUTES, withComponentInputBinding()),
  ],
}).catch((error: unknown) => {
  document.body.textContent = `Yardland could not start: ${String(error)}`;
});
if (!isDevMode()) keepApplication();
