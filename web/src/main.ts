import { HttpClient, provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import { inject, isDevMode, provideBrowserGlobalErrorListeners } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { provideRouter, withComponentInputBinding, withNavigationErrorHandler } from '@angular/router';
import { App } from './app/app';
import { ROUTES } from './app/routes';
import { keepApplication } from './app/offline/keep-application';
import { NewVersion } from './app/shared/new-version';
import { sayServerAway } from './app/offline/server-away';
import { signInAgain, watchSession } from './app/shell/sessions-api';

const started = bootstrapApplication(App, {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideHttpClient(withFetch(), withInterceptors([signInAgain, sayServerAway])),
    provideRouter(
      ROUTES,
      withComponentInputBinding(),
      withNavigationErrorHandler(({ url }) => void inject(NewVersion).pageMissed(url)),
    ),
  ],
});
started.catch((error: unknown) => {
  document.body.textContent = `Yardland could not start: ${String(error)}`;
});
void started.then(({ injector }) => {
  watchSession(injector.get(HttpClient));
  if (!isDevMode()) keepApplication(injector.get(NewVersion));
});
