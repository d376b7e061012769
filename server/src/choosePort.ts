const OWN_PORT = 4170;
const DEMO_PORT = 4180;

/** The fixed port, which is where the data live, or PORT; null where PORT is no port. */
export function choosePort(wanted: string | undefined, demo: boolean): number | null {
  if (wanted === undefined || wanted === '') return demo ? DEMO_PORT : OWN_PORT;
  const port = Number(wanted);
  return Number.isInteger(port) && port >= 1 && port <= 65535 ? port : null;
}
