import * as Comlink from 'comlink';
import { openDatabase } from '../storage/index.ts';
import { createSessionWork } from './sessionWork.ts';

openDatabase(self.name);
Comlink.expose(createSessionWork());
