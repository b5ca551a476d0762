import { ErrorHandler, inject, Injectable, Injector } from '@angular/core';
import { isScriptError, Scripts } from './scripts';

/**
 * What nobody has caught. A part of the application that was wanted in the middle of something and did not come is told
 * as every other: some browsers remember that it failed, and only a reload helps.
 */
@Injectable()
export class Errors extends ErrorHandler {
  private readonly injector = inject(Injector);

  override handleError(error: unknown): void {
    super.handleError(error);
    if (isScriptError(error)) this.injector.get(Scripts).tell(error);
  }
}
