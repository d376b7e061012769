/** Plain text as it may stand in markup, in attributes too. */
export const escapeMarkup = (text: string) => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);
