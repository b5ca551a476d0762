import { Injector } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { makeOrderJson } from '@enumeron/core/formats';
import { WORKED } from '@enumeron/core/rehearse';
import { makeBundle } from '@enumeron/core/file/rehearse/bundle';
import { freshApp, until } from '../../testing/fresh';
import { textFile } from '../../testing/text-file';
import { TIDEMARK } from '../nouns/orders/tidemark';
import { unpackText } from '../platform/packed-text';
import { openFile, takeOpenedFiles } from './opened-files';

beforeEach(() => freshApp([provideRouter([{ path: '**', children: [] }])]));

const ORDER = makeOrderJson({ name: 'Tidemark', order: TIDEMARK.cards });

const opened = async (text: string): Promise<{ path: string; packed: string | undefined }> => {
  await openFile(TestBed.inject(Injector), textFile('a.enumeron.json', text));
  const [path, fragment = ''] = TestBed.inject(Router).url.split('#');
  return { path, packed: await unpackText(fragment) };
};

test('an order and a procedure are looked at where they belong; several and a backup are opened by hand', async () => {
  expect(await opened(ORDER)).toEqual({ path: '/arrange/shared', packed: ORDER });
  const procedure = JSON.stringify({ format: 'enumeron procedure', ...WORKED[0].procedure });
  expect(await opened(procedure)).toEqual({ path: '/rehearse/shared', packed: procedure });
  expect((await opened(makeBundle([WORKED[0].procedure]))).path).toBe('/rehearse');
  expect((await opened('{"format": "enumeron-backup"}')).path).toBe('/settings');
  // What is too long, or of another program, opens nothing.
  for (const text of ['x'.repeat(500_000), '{"format": "other"}'])
    expect((await opened(text)).path).toBe('/settings');
});

test('what the system hands over is opened', async () => {
  let take: (launch: object) => void = () => undefined;
  Object.assign(window, { launchQueue: { setConsumer: (consumer: typeof take) => (take = consumer) } });
  takeOpenedFiles(TestBed.inject(Injector));
  take({ files: [{ getFile: () => Promise.resolve(textFile('a.enumeron.json', ORDER)) }] });
  await until(() => TestBed.inject(Router).url.startsWith('/arrange/shared#z1.'));
  Reflect.deleteProperty(window, 'launchQueue');
});
