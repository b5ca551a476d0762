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
  withPreloading,
} from '@angular/router';
import { ROUTES } from './app.routes';
import { BACKUP_WORK, backupOnPage } from './data/backup-work';
import { Boot } from './data/boot';
import { ROOM_SAMPLES } from './data/samples';
import { fontsReady } from './frame/fonts';
import { backupInWorker } from './workers/backup.host';
import { RUN_JOB } from './workers/jobs';
import { runInWorkers } from './workers/jobs.host';
import { ROOMS } from './rooms';
import { PreloadWhenIdle } from './shared/preload';
import { Scripts } from './shared/scripts';

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideRouter(
      ROUTES,
      withComponentInputBinding(),
      withEnabledBlockingInitialNavigation(),
      withInMemoryScrolling({ scrollPositionRestoration: 'enabled' }),
      withPreloading(PreloadWhenIdle),
      withNavigationErrorHandler(({ error, url }) => inject(Scripts).tell(error, url)),
    ),
    { provide: ROOM_SAMPLES, useValue: ROOMS },
    { provide: RUN_JOB, useValue: runInWorkers },
    { provide: BACKUP_WORK, useFactory: () => backupInWorker(backupOnPage()) },
    provideAppInitializer(() => Promise.all([inject(Boot).run(), fontsReady()])),
  ],
};
