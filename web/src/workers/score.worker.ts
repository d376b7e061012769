import * as Comlink from 'comlink';
import { openScore } from './openScore.ts';

Comlink.expose({ openScore });
