import 'i18next';
import type hall from './messages/en/hall.json';
import type help from './messages/en/help.json';
import type rooms from './messages/en/rooms.json';

declare module 'i18next' {
  interface CustomTypeOptions {
    resources: { translation: typeof hall & typeof rooms & typeof help };
    returnNull: false;
  }
}
