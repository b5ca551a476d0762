import { bootstrapApplication } from '@angular/platform-browser';
import { appConfig } from './app/app.config';
import { fetchAhead } from './app/app.routes';
import { Shell } from './app/frame/shell';
import { idleInTime } from './app/platform/idle';

idleInTime();
fetchAhead(location.pathname);
bootstrapApplication(Shell, appConfig).catch((error: unknown) => console.error(error));
