import { networkInterfaces } from 'node:os';

/** Addresses that only reach machines in the same house (RFC 1918, and 169.254 where there is no router). */
const PRIVATE = /^(10\.|192\.168\.|172\.(1[6-9]|2\d|3[01])\.|169\.254\.)/;

/** The addresses of this machine at which a phone in the same network finds it. */
export function lanAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ family, internal, address }) => family === 'IPv4' && !internal && PRIVATE.test(address))
    .map(({ address }) => address);
}
