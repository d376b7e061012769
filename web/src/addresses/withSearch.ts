/** An address with one more word of its search. */
export const withSearch = (address: string, name: string, value: string): string =>
  `${address}${address.includes('?') ? '&' : '?'}${new URLSearchParams({ [name]: value }).toString()}`;
