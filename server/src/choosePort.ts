const OWN_PORT = 4170;
const DEMO_PORT = 4180;
const LAN_PORT = 4175;
const LAN_DEMO_PORT = 4185;

/** The fixed port, which is where the data live, or PORT; null where PORT is no port. */
export function choosePort(wanted: string | undefined, demo: boolean, lan = false): number | null {
  if (wanted === undefined || wanted === '') {
    if (lan) return demo ? LAN_DEMO_PORT : LAN_PORT;
    return demo ? DEMO_PORT : OWN_PORT;
  }
  const port = Number(wanted);
  return Number.isInteger(port) && port >= 1 && port <= 65535 ? port : null;
}
