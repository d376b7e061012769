import 'fake-indexeddb/auto';
import i18next from 'i18next';

// Each file of tests begins with a database that Node lacks, and with the language of no file before it.
await i18next.init({ lng: 'en', resources: {} });
