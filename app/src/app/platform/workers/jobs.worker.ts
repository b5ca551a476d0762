import { expose } from 'comlink';
import { JobsInWorker } from './jobs-in-worker';

expose(new JobsInWorker());
