// What the test library switches off (the last such list given is the one that counts), and pages of the browser's own that it
// makes ready behind every new window: they cost more than the app's, and no journey sees them.
const FEATURES_OFF = [
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsUpgrades',
  'HttpsFirstBalancedModeAutoEnable',
  'LensOverlay',
  'MediaRouter',
  'PaintHolding',
  'ThirdPartyStoragePartitioning',
  'AvoidCorsURLLoaderRestartOnRedirect',
  'OptimizationHints',
  'NetworkTimeServiceQuerying',
  'AimEnabled',
  'PreconnectToSearch',
  'PreloadTopChromeWebUI',
  'PreloadTopChromeWebUILessNavigations',
  'WebUIOmniboxPopup',
  'WebUIOmniboxAimPopup',
  'WebUIOmniboxFullPopup',
  'WebUIOmniboxSimplification',
  'SpareRendererForSitePerProcess',
];

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--autoplay-policy=no-user-gesture-required',
  `--disable-features=${FEATURES_OFF.join(',')}`,
];

/** Launch options for Debian's Chromium; more flags set its microphone. */
export const chromium = (...more: string[]) => ({
  executablePath: '/usr/bin/chromium',
  args: [...FLAGS, ...more],
});

/** A microphone that plays a WAV once, from the moment the app opens it. */
export const microphonePlaying = (file: string) =>
  chromium(
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
    `--use-file-for-fake-audio-capture=${file}%noloop`,
  );

/** A microphone that beeps, for journeys to which what it plays is nothing. */
export const microphoneBeeping = () =>
  chromium('--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream');
