import {
  ApplicationConfig,
  inject,
  provideAppInitializer,
  ErrorHandler,
  provideBrowserGlobalErrorListeners,
  provideEnvironmentInitializer,
} from '@angular/core';
import { REMOVE_STYLES_ON_COMPONENT_DESTROY } from '@angular/platform-browser';
import {
  provideRouter,
  withComponentInputBinding,
  withEnabledBlockingInitialNavigation,
  withInMemoryScrolling,
  withNavigationErrorHandler,
  withPreloading,
} from '@angular/router';
import { ROUTES } from './app.routes';
import { BACKUP_WORK, backupOnPage } from './nouns/backups/backup-work';
import { Boot } from './boot';
import { ROOM_SAMPLES } from './storage/samples';
import { drawAtOnce } from './frame/draw-at-once';
import { fontsReady } from './frame/fonts';
import { backupInWorker } from './nouns/backups/backup.host';
import { makeDatabaseLater } from './make-database';
import { MAKE_DATABASE } from './storage/storage';
import { RUN_JOB } from './platform/workers/jobs';
import { runLater } from './platform/workers/run-later';
import { PreloadWhenIdle } from './preload';
import { ROOMS } from './rooms';
import { Errors } from './platform/errors';
import { Scripts } from './platform/scripts';
import { keepTypedTextsLater } from './platform/typed-texts-later';

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    { provide: ErrorHandler, useClass: Errors },
    provideRouter(
      ROUTES,
      withComponentInputBinding(),
      withEnabledBlockingInitialNavigation(),
      withInMemoryScrolling({ scrollPositionRestoration: 'enabled' }),
      withPreloading(PreloadWhenIdle),
      withNavigationErrorHandler(({ error, url }) => inject(Scripts).tell(error, url)),
    ),
    // A part that is shown again finds its styles: to take them out and in costs the whole page a look at every rule.
    { provide: REMOVE_STYLES_ON_COMPONENT_DESTROY, useValue: false },
    { provide: ROOM_SAMPLES, useValue: ROOMS },
    { provide: MAKE_DATABASE, useFactory: makeDatabaseLater },
    { provide: RUN_JOB, useValue: runLater },
    { provide: BACKUP_WORK, useFactory: () => backupInWorker(backupOnPage()) },
    provideEnvironmentInitializer(drawAtOnce),
    provideEnvironmentInitializer(keepTypedTextsLater),
    provideAppInitializer(() => Promise.all([inject(Boot).run(), fontsReady()])),
  ],
};
