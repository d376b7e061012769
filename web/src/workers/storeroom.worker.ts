import * as Comlink from 'comlink';
import { openDatabase } from '../storage/index.ts';
import { createStoreroom } from './storeroomWork.ts';

openDatabase(self.name);
Comlink.expose(createStoreroom());
