import { ChangeDetectionStrategy, Component, provideEnvironmentInitializer, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { NavigationEnd, provideRouter, Router } from '@angular/router';
import { RouterTestingHarness } from '@angular/router/testing';
import { filter, firstValueFrom } from 'rxjs';
import { drawAtOnce } from './draw-at-once';

@Component({ changeDetection: ChangeDetectionStrategy.OnPush, template: `{{ says() }}` })
class Room {
  readonly says = signal('the room');
}

/** What stands on the page when a room has been opened, before the browser comes to do anything else. */
const drawnWith = async (...initializers: (() => void)[]): Promise<string | null> => {
  TestBed.configureTestingModule({
    providers: [
      provideRouter([{ path: 'room', component: Room }]),
      ...initializers.map((each) => provideEnvironmentInitializer(each)),
    ],
  });
  const { fixture } = await RouterTestingHarness.create();
  const router = TestBed.inject(Router);
  const opened = firstValueFrom(router.events.pipe(filter((event) => event instanceof NavigationEnd)));
  void router.navigateByUrl('/room');
  await opened;
  await Promise.resolve();
  return (fixture.nativeElement as HTMLElement).textContent;
};

test('a room that was opened is drawn in the same task; by itself it would come in a later one', async () => {
  expect(await drawnWith()).toBe('');
  TestBed.resetTestingModule();
  expect(await drawnWith(drawAtOnce)).toBe('the room');
});
