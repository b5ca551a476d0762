import { ErrorHandler } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { Errors } from './errors';
import { Scripts } from './scripts';

const lost = (): TypeError =>
  new TypeError('Failed to fetch dynamically imported module: http://localhost/chunk-a.js');

test('a script that nobody has caught is told, once, and what is no script is not', () => {
  TestBed.configureTestingModule({
    providers: [provideRouter([]), { provide: ErrorHandler, useClass: Errors }],
  });
  // Reloaded a moment ago: the sign offers it, and the page stays.
  sessionStorage.setItem('enumeron-reloaded', Date.now().toString());
  const [errors, warned] = [
    jest.spyOn(console, 'error').mockReturnValue(),
    jest.spyOn(console, 'warn').mockReturnValue(),
  ];
  const scripts = TestBed.inject(Scripts);
  const handler = TestBed.inject(ErrorHandler);
  handler.handleError(new Error('something else'));
  expect(scripts.lacks()).toBeUndefined();
  const error = lost();
  handler.handleError(error);
  expect(scripts.lacks()?.script).toBe('http://localhost/chunk-a.js');
  handler.handleError(error);
  expect(warned).toHaveBeenCalledTimes(1);
  expect(errors).toHaveBeenCalledTimes(3);
  sessionStorage.removeItem('enumeron-reloaded');
  errors.mockRestore();
  warned.mockRestore();
});
