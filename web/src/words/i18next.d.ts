import 'i18next';
import type startup from './messages/en/startup.json';
import type help from './messages/en/help.json';
import type app from './messages/en/app.json';

declare module 'i18next' {
  interface CustomTypeOptions {
    resources: { translation: typeof startup & typeof app & typeof help };
    returnNull: false;
  }
}
