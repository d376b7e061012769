import 'i18next';
import type hall from './messages/en/hall.json';
import type rooms from './messages/en/rooms.json';

declare module 'i18next' {
  interface CustomTypeOptions {
    resources: { translation: typeof hall & typeof rooms };
    returnNull: false;
  }
}
