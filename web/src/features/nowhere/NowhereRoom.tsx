/** An address that leads nowhere. */
export { NothingHere as Component } from '../../ui/index.ts';
