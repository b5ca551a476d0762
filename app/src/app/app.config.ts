import {
  ApplicationConfig,
  inject,
  provideAppInitializer,
  provideBrowserGlobalErrorListeners,
} from '@angular/core';
import {
  provideRouter,
  withComponentInputBinding,
  withEnabledBlockingInitialNavigation,
} from '@angular/router';
import { ROUTES } from './app.routes';
import { Boot } from './data/boot';
import { fontsReady } from './frame/fonts';
import { provideIcons } from './frame/icons';

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideRouter(ROUTES, withComponentInputBinding(), withEnabledBlockingInitialNavigation()),
    provideIcons(),
    provideAppInitializer(() => Promise.all([inject(Boot).run(), fontsReady()])),
  ],
};
