import { inject, Injectable, signal } from '@angular/core';
import { NavigationSkipped, NavigationStart, Router } from '@angular/router';
import { filter } from 'rxjs';

/** The room that was asked for last, when its scripts could not be had: the connection is gone, or the build is another. */
@Injectable({ providedIn: 'root' })
export class Unreached {
  private readonly address = signal<string | undefined>(undefined);
  readonly url = this.address.asReadonly();

  constructor() {
    inject(Router)
      .events.pipe(filter((event) => event instanceof NavigationStart || event instanceof NavigationSkipped))
      .subscribe(() => this.address.set(undefined));
  }

  tell(url: string): void {
    this.address.set(url);
  }
}
