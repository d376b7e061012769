import QRCode from 'qrcode';

/** Where the authority's certificate is offered to phones. */
export const CERTIFICATE_PATH = '/inner-hum-authority.crt';

/** What is printed when the app is served to the house: where, how, and what it means. */
export async function lanWords(origins: readonly string[]): Promise<string> {
  const code = await QRCode.toString(origins[0], { type: 'terminal', small: true });
  return `Inner Hum is at ${origins.join(' and ')} for every machine in this network.

${code}
This serves the app, never data: takes live in the browser of the phone or tablet that plays them, and another
address is another, empty logbook. To take one along, save an archive there first (Case, Safe keeping).

The phone will say that it does not know this certificate, because this machine made it itself. To play, it is
enough to go on. For playing without a network, and for an icon on the home screen, the phone must trust it:
open ${origins[0]}${CERTIFICATE_PATH} there and install it as a certificate of an
authority in the phone's settings. Its key was thrown away after one use, so it vouches for this server and
for nothing else. Remove it when you no longer need it.

Whoever is in this network can open the app as well. End it with Ctrl+C.`;
}
