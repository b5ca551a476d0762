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
  withInMemoryScrolling,
  withNavigationErrorHandler,
} from '@angular/router';
import { ROUTES } from './app.routes';
import { BACKUP_WORK, backupOnPage } from './data/backup-work';
import { Boot } from './data/boot';
import { fontsReady } from './frame/fonts';
import { backupInWorker } from './workers/backup.in-worker';
import { Scripts } from './shared/scripts';

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideRouter(
      ROUTES,
      withComponentInputBinding(),
      withEnabledBlockingInitialNavigation(),
      withInMemoryScrolling({ scrollPositionRestoration: 'enabled' }),
      withNavigationErrorHandler(({ error, url }) => inject(Scripts).tell(error, url)),
    ),
    { provide: BACKUP_WORK, useFactory: () => backupInWorker(backupOnPage()) },
    provideAppInitializer(() => Promise.all([inject(Boot).run(), fontsReady()])),
  ],
};
