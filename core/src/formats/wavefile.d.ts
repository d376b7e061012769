// The package's two entries export differently; its built file is the one that bundlers and Node read alike.
declare module 'wavefile/dist/wavefile.js' {
  import wavefile from 'wavefile';
  export default wavefile;
}
