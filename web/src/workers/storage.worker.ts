import * as Comlink from 'comlink';
import { openDatabase } from '../storage/index.ts';
import { createStorageWorker } from './storageWork.ts';

openDatabase(self.name);
Comlink.expose(createStorageWorker());
