import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import { provideBrowserGlobalErrorListeners } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { provideRouter, withComponentInputBinding } from '@angular/router';
import { App } from './app/app';
import { ROUTES } from './app/routes';
import { signInAgain } from './app/shell/sessions-api';

bootstrapApplication(App, {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideHttpClient(withFetch(), withInterceptors([signInAgain])),
    provideRouter(ROUTES, withComponentInputBinding()),
  ],
}).catch((error: unknown) => {
  document.body.textContent = `Yardland could not start: ${String(error)}`;
});
