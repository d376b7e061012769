// What is played as an address, and an address as what is played: every state of the Stand and the Shelf has one.
export { readSwell, swellSearch } from './swellAddress.ts';
export { askedDrill, drillAddress, playersHorn, readDrill, roomOf, shelfAddress } from './drillAddress.ts';
export { readAskedFor, type AskedFor } from './askedFor.ts';
export { withSearch } from './withSearch.ts';
export { mouthpiecePullMm } from './mouthpiecePullMm.ts';
